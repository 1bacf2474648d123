/** What was ticked and said at a run, as it is sent: words without a tick are something else. */
export function seenTyped(ticked: string, words: string) {
  const signs = ticked.split(',').filter((one) => one !== '');
  const said = words.trim();
  if (signs.length === 0) return said === '' ? [] : [{ sign: 'other', words: said }];
  return signs.map((sign) => ({ sign, words: said }));
}
