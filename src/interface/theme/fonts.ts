import localFont from 'next/font/local';

// Clarendon for names and headings, a road-sign sans for words, an instrument face for figures; all shipped with the
// app.
export const headingFont = localFont({
  src: [
    { path: '../fonts/besley-600.woff2', weight: '600', style: 'normal' },
    { path: '../fonts/besley-400-italic.woff2', weight: '400', style: 'italic' },
  ],
  variable: '--font-heading',
  display: 'block',
});

export const textFont = localFont({
  src: [
    { path: '../fonts/overpass-400.woff2', weight: '400' },
    { path: '../fonts/overpass-600.woff2', weight: '600' },
    { path: '../fonts/overpass-700.woff2', weight: '700' },
  ],
  variable: '--font-text',
  display: 'block',
});

export const figureFont = localFont({
  src: [
    { path: '../fonts/b612-mono-400.woff2', weight: '400' },
    { path: '../fonts/b612-mono-700.woff2', weight: '700' },
  ],
  variable: '--font-figure',
  display: 'block',
  adjustFontFallback: false,
});

// Signs that the instrument face lacks: ⅛ → ≤ ≥ μ.
export const figureSignsFont = localFont({
  src: [{ path: '../fonts/overpass-mono-400-signs.woff2', weight: '400' }],
  variable: '--font-figure-signs',
  display: 'block',
  adjustFontFallback: false,
});

// The multiplying dot of N·m, which the text face sets with no width of its own.
export const dotFont = localFont({
  src: [{ path: '../fonts/besley-600-dot.woff2' }],
  variable: '--font-dot',
  display: 'block',
  adjustFontFallback: false,
  declarations: [{ prop: 'unicode-range', value: 'U+B7' }],
});

// A decimal sign or a colon in a cell of its own leaves a hole in the figure: it is set close instead. Its round
// brackets are nearly square.
export const pointFont = localFont({
  src: [{ path: '../fonts/overpass-700-point.woff2' }],
  variable: '--font-point',
  display: 'block',
  adjustFontFallback: false,
  declarations: [{ prop: 'unicode-range', value: 'U+28, U+29, U+2C, U+2E, U+3A' }],
});

// Letters with marks, as in names from all over Europe: fetched by a page that has one of them on it, and by no other.
export const headingFurtherFont = localFont({
  src: [
    { path: '../fonts/besley-600-further.woff2', weight: '600', style: 'normal' },
    { path: '../fonts/besley-400-italic-further.woff2', weight: '400', style: 'italic' },
  ],
  variable: '--font-heading-further',
  display: 'block',
  preload: false,
  adjustFontFallback: false,
  declarations: [{ prop: 'unicode-range', value: 'U+C0-D6, U+D8-F6, U+F8-17F' }],
});

export const textFurtherFont = localFont({
  src: [
    { path: '../fonts/overpass-400-further.woff2', weight: '400' },
    { path: '../fonts/overpass-600-further.woff2', weight: '600' },
    { path: '../fonts/overpass-700-further.woff2', weight: '700' },
  ],
  variable: '--font-text-further',
  display: 'block',
  preload: false,
  adjustFontFallback: false,
  declarations: [{ prop: 'unicode-range', value: 'U+C0-D6, U+D8-F6, U+F8-17F' }],
});

export const figureFurtherFont = localFont({
  src: [
    { path: '../fonts/b612-mono-400-further.woff2', weight: '400' },
    { path: '../fonts/b612-mono-700-further.woff2', weight: '700' },
  ],
  variable: '--font-figure-further',
  display: 'block',
  preload: false,
  adjustFontFallback: false,
  declarations: [{ prop: 'unicode-range', value: 'U+C0-D6, U+D8-F6, U+F8-17F' }],
});

export const figureSignsFurtherFont = localFont({
  src: [{ path: '../fonts/overpass-mono-400-further.woff2', weight: '400' }],
  variable: '--font-figure-signs-further',
  display: 'block',
  preload: false,
  adjustFontFallback: false,
  declarations: [{ prop: 'unicode-range', value: 'U+C0-D6, U+D8-F6, U+F8-17F' }],
});

export const fontVariables = [
  dotFont,
  pointFont,
  headingFont,
  headingFurtherFont,
  textFont,
  textFurtherFont,
  figureFont,
  figureFurtherFont,
  figureSignsFont,
  figureSignsFurtherFont,
]
  .map((font) => font.variable)
  .join(' ');
