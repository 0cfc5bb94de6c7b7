export { TodayRoom } from './today-room';
