export { BoxCourse } from './BoxCourse.tsx';
