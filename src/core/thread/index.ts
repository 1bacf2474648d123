export { readThread, threadNamed, THREAD_ROWS } from './read-thread';
export type { AcrossFlats, Thread, ThreadRow, ThreadSeries } from './thread';
