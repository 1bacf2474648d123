/** Parts that a page is sent at its end, put where the browser puts them: in the place of what stands for them until then. */
function inPlace(html: string): string {
  const late = /<div hidden id="S:(\w+)">/.exec(html);
  if (!late) return html;
  const [opening, id] = late;
  const placed = html.indexOf(`$RC("B:${id}","S:${id}")`, late.index);
  const end = html.lastIndexOf('</div>', placed);
  const place = html.indexOf(`<template id="B:${id}"></template>`);
  if (placed < 0 || place < 0) throw new Error(`nothing says where part ${id} belongs`);
  const part = html.slice(late.index + opening.length, end);
  const without = html.slice(0, late.index) + html.slice(end + '</div>'.length);
  return inPlace(without.slice(0, place) + part + without.slice(without.indexOf('<!--/$-->', place)));
}

/** What a page says, piece by piece, whatever is laid round it. */
export const textOf = (html: string): readonly string[] =>
  inPlace(html)
    .replace(/<script[\s\S]*?<\/script>/g, '')
    .replace(/<style[\s\S]*?<\/style>/g, '')
    .replace(/<!--[\s\S]*?-->/g, '')
    .replace(/<[^>]+>/g, '\n')
    .replace(/&#x27;/g, "'")
    .replace(/&quot;/g, '"')
    .replace(/&amp;/g, '&')
    .replace(/\u00a0/g, ' ')
    .split('\n')
    .map((line) => line.replace(/\s+/g, ' ').trim())
    .filter(Boolean);
