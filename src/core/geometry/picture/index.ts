export { type KnownPoint, type Pixel, pixelBy } from './homography';
export type { LineMark } from './known-line';
export {
  distanceIn,
  type LeftOut,
  leaveOneOut,
  lineGround,
  measuredIn,
  type PictureGround,
  POINTING,
  planeGround,
  type WithError,
} from './picture-ground';
