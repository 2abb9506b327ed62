export { askToday, TodayPage } from './TodayPage.tsx';
