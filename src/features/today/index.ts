export { TodayPage } from './today-page';
