export { readThread, threadNamed, THREAD_ROWS } from './read-thread';
export { identifyThread, threadsForSpanner, type Identification, type ThreadCandidate, type ThreadMeasured } from './identify';
export type { AcrossFlats, Thread, ThreadRow, ThreadSeries } from './thread';
