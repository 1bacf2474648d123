export { readThread, threadNamed, threadsOfSize, THREAD_ROWS } from './read-thread';
export {
  identifyThread,
  threadsForSpanner,
  type Identification,
  type ThreadCandidate,
  type ThreadMeasured,
} from './identify';
export { OWN_ANGLES, ownDesignation, ownRow, type OwnThread } from './own';
export type { AcrossFlats, Thread, ThreadRow, ThreadSeries } from './thread';
