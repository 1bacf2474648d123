// Cuts the type down to the characters the product prints, as WOFF2 in src/interface/fonts. Run by hand when a face changes.
import { copyFileSync, readFileSync, writeFileSync } from 'node:fs';
import subsetFont from 'subset-font';

const between = (from, to) => Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i)).join('');
const PLAIN = between(0x20, 0x7e) + between(0xa0, 0xbf);
// Letters with marks, of names: asked for by a page that has one of them on it, and by no other. × and ÷ are signs.
const FURTHER = between(0xc0, 0xd6) + between(0xd8, 0xf6) + between(0xf8, 0x17f);
const SIGNS = 'µμΩ₀₁₂₃₄₅₆₇₈₉⁄⅓⅔⅛⅜⅝⅞−–—‘’“”„…′″≈≠≤≥→←↑↓×÷±·√πσταβθΔ\u2009\u202f';
const TEXT = PLAIN + SIGNS;

const faces = [
  ['besley/600SemiBold/Besley_600SemiBold.ttf', 'besley-600', { '': TEXT, '-further': FURTHER, '-dot': '·' }],
  ['besley/400Regular_Italic/Besley_400Regular_Italic.ttf', 'besley-400-italic', { '': TEXT, '-further': FURTHER }],
  ['overpass/400Regular/Overpass_400Regular.ttf', 'overpass-400', { '': TEXT, '-further': FURTHER }],
  ['overpass/600SemiBold/Overpass_600SemiBold.ttf', 'overpass-600', { '': TEXT, '-further': FURTHER }],
  ['overpass/700Bold/Overpass_700Bold.ttf', 'overpass-700', { '': TEXT, '-further': FURTHER, '-point': '(),.:' }],
  [
    'overpass-mono/400Regular/OverpassMono_400Regular.ttf',
    'overpass-mono-400',
    { '-signs': SIGNS, '-further': FURTHER },
  ],
];

let total = 0;
const cut = async (from, to, text) => {
  const font = await subsetFont(readFileSync(`node_modules/${from}`), text, { targetFormat: 'woff2' });
  writeFileSync(`src/interface/fonts/${to}.woff2`, font);
  if (!to.endsWith('-further')) total += font.length;
  console.log(to, font.length);
};

for (const [from, name, parts] of faces)
  for (const [part, text] of Object.entries(parts)) await cut(`@expo-google-fonts/${from}`, name + part, text);
for (const weight of [400, 700])
  for (const [part, text] of Object.entries({ '': TEXT, '-further': FURTHER }))
    await cut(`@fontsource/b612-mono/files/b612-mono-latin-${weight}-normal.woff2`, `b612-mono-${weight}${part}`, text);
console.log('fetched by every page', total);

for (const [from, to] of [
  ['@expo-google-fonts/besley/LICENSE_FONT', 'besley'],
  ['@expo-google-fonts/overpass/LICENSE_FONT', 'overpass'],
  ['@expo-google-fonts/overpass-mono/LICENSE_FONT', 'overpass-mono'],
  ['@fontsource/b612-mono/LICENSE', 'b612-mono'],
])
  copyFileSync(`node_modules/${from}`, `src/interface/fonts/${to}-OFL.txt`);
