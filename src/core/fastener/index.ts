export { assertBearingFace, usualBearingFace, type BearingFace } from './bearing-face';
export { strip, type Strip } from './strip';
export { boltSegments, stiffness, stretch, type BoltLengths, type Stretch, type StretchSegment } from './stretch';
