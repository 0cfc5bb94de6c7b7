export { GlossaryPage } from './glossary-page';
