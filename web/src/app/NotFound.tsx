import { Link } from 'react-router';
import { Empty } from '../feedback/Feedback.tsx';

export function NotFound() {
  return (
    <Empty title="There is nothing at this address">
      <Link to="/">Go to today’s work</Link>
    </Empty>
  );
}
