import { PLACE_NOTES, type PlaceNote, type PlaceNoteKind } from '@/model/joint/place-note';
import { choices } from './choices';

const WORDS: Readonly<Record<PlaceNoteKind, string>> = {
  wet: 'Reaches water or oil: sealant on it',
  blind: 'Blind hole: blown dry first',
  special: 'Another bolt than the rest',
  'left-hand': 'Left-hand thread',
  stud: 'A stud, with a nut',
  dry: 'Not oiled',
  hold: 'Hold the other end',
  tab: 'Tab to bend over',
  pin: 'Pin to put in',
  wire: 'Wire to draw tight',
  washer: 'Washer under it',
  'no-washer': 'No washer',
};

export const PLACE_NOTE_CHOICES = choices(PLACE_NOTES, WORDS);

/** A note of a place in a sentence’s part: `Reaches water or oil: sealant on it (the long one)`. */
export const placeNoteWords = ({ kind, words }: PlaceNote): string =>
  `${WORDS[kind]}${words === '' ? '' : ` (${words})`}`;
