export {
  type Aligned,
  alignClip,
  joinGoes,
  type Stamp,
  stampsOfGoes,
  stampsOfRep,
} from './align';
export {
  ANGLES_OF,
  type AngleOf,
  CLIP_MARKS,
  CLIP_STAMPS,
  type ClipMark,
  type ClipMarkKind,
  type ClipStamp,
  type Go,
  goesOf,
  LATE_OUTCOMES,
  PLACES_OF,
  type PlaceOf,
} from './marks';
export { AS_LOGGED, CLIP_MEASURES, type ClipMeasure, type ClipMeasureKind, measuresOf } from './measures';
