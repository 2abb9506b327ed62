import { Navigate, useParams } from 'react-router';

/** A kit stands on the first page of its round: for the household what is to be done, for us where it is and what it wrote. */
export function KitPlace() {
  const { round = '' } = useParams();
  return <Navigate to={`/rounds/${round}`} replace />;
}
