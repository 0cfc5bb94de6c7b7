export { tellerOf } from './catalogue';
