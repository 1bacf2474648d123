// Cuts the type down to the characters the product prints, as WOFF2 in src/interface/fonts. Run by hand when a face changes.
import { copyFileSync, readFileSync, writeFileSync } from 'node:fs';
import subsetFont from 'subset-font';

const ranges = [
  [0x20, 0x7e],
  [0xa0, 0x17f],
];
const extras = 'µμΩ₀₁₂₃₄₅₆₇₈₉⁄⅓⅔⅛⅜⅝⅞−–—‘’“”„…′″≈≠≤≥→←↑↓×÷±·√πσταβθΔ\u2009\u202f';
const text =
  ranges
    .flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, i) => String.fromCodePoint(from + i)))
    .join('') + extras;

const faces = [
  ['@expo-google-fonts/besley/600SemiBold/Besley_600SemiBold.ttf', 'besley-600'],
  ['@expo-google-fonts/besley/400Regular_Italic/Besley_400Regular_Italic.ttf', 'besley-400-italic'],
  ['@expo-google-fonts/overpass/400Regular/Overpass_400Regular.ttf', 'overpass-400'],
  ['@expo-google-fonts/overpass/600SemiBold/Overpass_600SemiBold.ttf', 'overpass-600'],
  ['@expo-google-fonts/overpass/700Bold/Overpass_700Bold.ttf', 'overpass-700'],
  ['@expo-google-fonts/overpass-mono/400Regular/OverpassMono_400Regular.ttf', 'overpass-mono-400'],
];

for (const [from, to] of faces) {
  const cut = await subsetFont(readFileSync(`node_modules/${from}`), text, { targetFormat: 'woff2' });
  writeFileSync(`src/interface/fonts/${to}.woff2`, cut);
  console.log(to, cut.length);
}
for (const weight of [400, 700])
  copyFileSync(
    `node_modules/@fontsource/b612-mono/files/b612-mono-latin-${weight}-normal.woff2`,
    `src/interface/fonts/b612-mono-${weight}.woff2`,
  );
for (const [from, to] of [
  ['@expo-google-fonts/besley/LICENSE_FONT', 'besley'],
  ['@expo-google-fonts/overpass/LICENSE_FONT', 'overpass'],
  ['@expo-google-fonts/overpass-mono/LICENSE_FONT', 'overpass-mono'],
  ['@fontsource/b612-mono/LICENSE', 'b612-mono'],
])
  copyFileSync(`node_modules/${from}`, `src/interface/fonts/${to}-OFL.txt`);
