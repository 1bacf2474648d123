/** Every key of the product, in the order in which the list shows them. The README's list is made from this. */
export const KEY_LIST: readonly { readonly where: string; readonly keys: readonly (readonly [key: string, does: string])[] }[] = [
  {
    where: 'Anywhere',
    keys: [
      ['?', 'This list'],
      ['U', 'The other unit system'],
      ['D', 'Light, dark, high contrast'],
      ['[ ]', 'The engine before, the engine after'],
      ['0', 'All stands'],
      ['H', 'The shelves: films, grades, threads, wrenches, house practice'],
      ['R', 'Read a figure, with the films side by side'],
    ],
  },
  {
    where: 'On an engine',
    keys: [
      ['1 … 5', 'Book, Joints, Tighten, Run-in, Record; on the shelves, the shelves in their order'],
      ['N', 'New: a leaf, a joint, a run, as the sheet has it'],
    ],
  },
  {
    where: 'On the face',
    keys: [
      ['Space, Page Down', 'Record the pull; say that the shaft was turned'],
      ['Backspace', 'Strike the last line'],
      ['M', 'The nut did not move'],
      ['P', 'Already past the figure'],
      ['O', 'Went over the figure'],
      ['S', 'Say the next figure aloud'],
      ['Escape', 'Leave the face; nothing is lost'],
    ],
  },
];
