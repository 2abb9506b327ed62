export { FollowUps } from './FollowUps.tsx';
