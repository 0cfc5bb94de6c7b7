export { FilesRoom } from './files-room';
