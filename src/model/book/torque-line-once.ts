import { readTorqueLine, type TorqueLine } from '@/core/print';
import { readOnce } from '@/model/read-once';

/** As many as the pages of a shop at work have; of a text of 400 letters at most. */
const MOST = 1000;
const lineOnce = readOnce<TorqueLine>(MOST);

/**
 * What a line of a page says, read once for as long as it is asked for: twenty joints ask twice each at every look at
 * them, and a text says the same each time. What cannot be read is read anew, and refused anew.
 * @throws DomainError as reading it does
 */
export const torqueLineOnce = (text: string): TorqueLine => lineOnce(text, () => readTorqueLine(text));
