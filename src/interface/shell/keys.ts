/**
 * Every key of the product, in the order in which the list shows them. The README's table is made from it by `npm run
 * keys`, and a test compares.
 */
export const KEY_LIST: readonly {
  readonly where: string;
  readonly keys: readonly (readonly [key: string, does: string])[];
}[] = [
  {
    where: 'Anywhere',
    keys: [
      ['?', 'This list'],
      ['U', 'The other unit system'],
      ['D', 'Light, dark, high contrast'],
      ['[ ]', 'The engine before, the engine after'],
      ['0', 'All stands'],
      [
        'H',
        'The shelves: lubricants, grades, threads, metals, wrenches, instruments, house practice, timing, trials, hands, hands',
      ],
      ['Z', 'Take the last act back, while the notice stands'],
      ['F, Ctrl K', 'Find anything: engines, joints, entries and their print, fits, threads, wrenches, screens'],
      ['R', 'Read a figure, with the lubricants side by side'],
    ],
  },
  {
    where: 'On an engine',
    keys: [
      ['1 … 7', 'Book, Joints, Fits, Order, Tighten, Run-in, Record; on the shelves, the shelves in their order'],
      ['N', 'New: an entry, a joint, fits, a run, as the sheet has it; on a fit, the next reading'],
    ],
  },
  {
    where: 'On the order',
    keys: [
      ['↓ ↑ ← →', 'Walk the line; to another branch'],
      ['X', 'The step that is looked at is done'],
      ['Y', 'Why not yet: the whole chain of what it waits for'],
    ],
  },
  {
    where: 'Among readings',
    keys: [
      ['Enter', 'Keep the figure and go on to the next that is still to be read'],
      ['↓ ↑', 'The next cell, the cell before'],
    ],
  },
  {
    where: 'At the bench',
    keys: [
      ['Space, Page Down', 'Record the pull; say that the crank was turned'],
      ['Backspace', 'Undo the last line'],
      ['M', 'The nut did not move'],
      ['P', 'Already past the figure'],
      ['O', 'Went over the figure'],
      ['S', 'Say the next figure aloud'],
      ['Escape', 'Leave the bench; nothing is lost'],
    ],
  },
];
