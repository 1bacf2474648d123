export { assertBearingFace, hexagonFaces, usualBearingFace, type BearingFace } from './bearing-face';
export { reachFaults, type Reach, type ReachFault } from './bottoming';
export { SHELF_GRADES, proofOf, type Grade } from './grade';
export { SHELF_METALS, type ParentMetal } from './parent-metal';
export { strip, type Strip } from './strip';
export {
  stretchShareOfYield,
  stretchVerdict,
  type BoltLengthsRead,
  type StretchState,
  type StretchTarget,
  type StretchVerdict,
} from './stretch-verdict';
export { boltSegments, stiffness, stretch, type BoltLengths, type Stretch, type StretchSegment } from './stretch';
