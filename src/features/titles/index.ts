export { TitlesPage } from './titles-page';
