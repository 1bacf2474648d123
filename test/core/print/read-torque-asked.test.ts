import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { notesToAgree, readLength, readTorque } from '@/core/print';
import { filmOfCondition } from '@/core/film';
import { codeOf } from '../code-of';

const read = (text: string) => readTorque(text);
const codes = (text: string) => read(text).notes.map(({ code }) => code);
const figures = (text: string) =>
  read(text).readings.map(({ min_Nm, max_Nm }) => [Number(min_Nm.toPrecision(4)), Number(max_Nm.toPrecision(4))]);
const film = (text: string) => {
  const { condition } = read(text);
  return condition === undefined ? undefined : filmOfCondition(condition);
};

describe('words on the thread', () => {
  test.each([
    ['35 lb ft (do not use oil)', 'dry-bare'],
    ['38 lb ft without oil', 'dry-bare'],
    ['38 lb ft. Do not oil threads.', 'dry-bare'],
    ['never oil the threads; 38 lb ft', 'dry-bare'],
    ['45 Nm ohne Öl', 'dry-bare'],
    ['45 Nm, Gewinde nicht geölt', 'dry-bare'],
    ['4 mkg sans huile', 'dry-bare'],
    ['45 Nm senza olio', 'dry-bare'],
    ['Oil pump bolts 8 lb ft', undefined],
    ['dry clutch nut 40 lb ft', undefined],
    ['Lock nut 38 lb ft', undefined],
    ['Oil drain plug 30 lb ft', undefined],
    ['Oil filter housing 15 lb ft, threads oiled', 'engine-oil'],
    ['5½ mkg, threads oiled', 'engine-oil'],
    ['oiled: 35 lb ft', 'engine-oil'],
    ['dry 38 lb ft', 'dry-bare'],
    ['45 Nm gängor torra', 'dry-bare'],
  ])('%j means %s', (text, expected) => expect(film(text)).toBe(expected));
  test('two of them go to thread and head', () => {
    expect(read('38 lb ft threads oiled, faces dry')).toMatchObject({ condition: 'oiled', headCondition: 'dry' });
    expect(read('38 lb ft, washers dry')).toMatchObject({ headCondition: 'dry' });
    // There is one film of the book for both: what holds for the face alone is asked about, not dropped.
    expect(notesToAgree(read('38 lb ft, washers dry').notes).map(({ code }) => code)).toEqual(['head-condition']);
  });
  test.each(['38 lb ft not dry', '38 lb ft unless oiled', '38 lb ft if dry'])('%j is asked about', (text) =>
    expect(codes(text)).toContain('unread-words'),
  );
});

describe('a damaged figure', () => {
  test.each(['3? lb ft', '3■ lb ft', '3| lb ft', '?5 lb ft', '•5 mkg', '38† lb ft', '£38 lb ft'])(
    '%j is not read as what is left of it',
    (text) => expect(codeOf(() => read(text))).toBe('unreadable'),
  );
  test.each<[string, readonly number[]]>([
    ['3O lb ft', [40.67]],
    ['l0 lb ft', [13.56]],
    ['5% mkg', [53.94, 56.39, 49.03]],
    ['38 1b ft', [51.52]],
    ['38 Ib. ft.', [51.52]],
    ['36-4O Nm', [36]],
  ])('%j is read the likeliest way first, and asked about', (text, expected) => {
    const print = read(text);
    expect(print.ambiguous).toBe(true);
    expect(figures(text).map(([least]) => least)).toEqual(expected);
    expect(notesToAgree(print.notes).map(({ code }) => code)).toContain('perhaps-misread');
  });
  test('a tolerance in per cent is none', () => {
    expect(figures('38 ± 5% lb ft')).toEqual([[48.95, 54.1]]);
    expect(read('38 lb ft ± 5 %').ambiguous).toBe(false);
  });
  test('any unknown mark that touches a figure makes it unreadable', () => {
    const mark = fc.constantFrom('■', '□', '†', '¿', '?', '¦', '§', '¤', '\ufffd', '|');
    fc.assert(
      fc.property(mark, fc.integer({ min: 1, max: 99 }), fc.boolean(), (sign, n, before) => {
        expect(codeOf(() => read(before ? `${sign}${n} lb ft` : `${n}${sign} lb ft`))).toBe('unreadable');
      }),
    );
  });
});

describe('words that were not understood', () => {
  test.each([
    ['not 35 lb ft', '“not”'],
    ['breaks at 45 lb ft', '“breaks”'],
    ['45 lb ft when hot', '“when”, “hot”'],
    ['35 lb ft then to nearest split pin hole', '“nearest”, “split”, “pin”, “hole”'],
    ['1st stage 20 lb ft', '“1st”'],
    ['38 lb.ft.?', '“?”'],
  ])('%j repeats them and asks', (text, repeated) => {
    const note = read(text).notes.find(({ code }) => code === 'unread-words');
    expect(note?.message).toContain(repeated);
    expect(notesToAgree(read(text).notes)).toContainEqual(note);
  });
  test.each([
    'Cylinder head nuts 38 lb ft',
    'Anzugsmoment 45 Nm',
    'utahovací moment 45 Nm',
    'serrer à 45 Nm',
    '3/8 BSF nuts 22 lb ft',
    'M8x1.25 25 Nm',
    '25 Nm (10 off)',
    '38 lb ft in two stages',
  ])('%j says nothing that has to be asked', (text) => expect(notesToAgree(read(text).notes)).toEqual([]));
  test('a word that nobody knows is never dropped in silence', () => {
    const word = fc.stringMatching(/^[a-z]{4,9}z$/);
    fc.assert(
      fc.property(word, fc.boolean(), (unknown, before) => {
        const text = before ? `${unknown} 38 lb ft` : `38 lb ft ${unknown}`;
        expect(codes(text)).toContain('unread-words');
      }),
    );
  });
});

describe('limits in the languages of the contract', () => {
  test.each([
    ['do not tighten over 35 lb ft', 'upper-limit'],
    ['less than 35 lb ft', 'upper-limit'],
    ['limit 35 lb ft', 'upper-limit'],
    ['not to exceed 35 lb ft', 'upper-limit'],
    ['ne pas dépasser 4 mkg', 'upper-limit'],
    ['máx. 40 Nm', 'upper-limit'],
    ['högst 40 Nm', 'upper-limit'],
    ['höchstens 40 Nm', 'upper-limit'],
    ['non superare 40 Nm', 'upper-limit'],
    ['hoogstens 40 Nm', 'upper-limit'],
    ['nejvýše 40 Nm', 'upper-limit'],
    ['35 lb ft or more', 'lower-limit'],
    ['not less than 35 lb ft', 'lower-limit'],
    ['mindestens 40 Nm', 'lower-limit'],
    ['mín. 40 Nm', 'lower-limit'],
    ['minst 40 Nm', 'lower-limit'],
    ['abt. 35 lb ft', 'approximate'],
    ['say 35 lb ft', 'approximate'],
    ['ungefär 40 Nm', 'approximate'],
  ])('%j is %s', (text, code) => expect(codes(text)).toEqual([code]));
});

describe('what is not one thing or the other', () => {
  test.each([
    ['2/3 mkg', [6.538, 19.61]],
    ['3/4 mkp', [7.355, 29.42]],
    ['1/2 mkg', [4.903, 9.807]],
    ['5/6 mkg', [49.03, 8.172]],
    ['1.200 cmkg', [117.7, 0.1177]],
    ['1.050 Ncm', [10.5, 0.0105]],
  ])('%j is both, likeliest first', (text, expected) => {
    expect(read(text).ambiguous).toBe(true);
    expect(figures(text).map(([least]) => least)).toEqual(expected);
  });
  test.each([
    ['2⁄3 mkg', [6.538]],
    ['36/40 lb ft', [48.81]],
    ['1,050 in lb', [118.6]],
    ['1.200 mkg', [11.77]],
    ['7/8 in lb', [0.09886]],
  ])('%j is only what it is', (text, expected) => {
    expect(read(text).ambiguous).toBe(false);
    expect(figures(text).map(([least]) => least)).toEqual(expected);
  });
  test('beyond 500 N·m a page is asked about', () => {
    expect(codes('500 Nm')).toEqual([]);
    expect(notesToAgree(read('501 Nm').notes).map(({ code }) => code)).toEqual(['beyond-usual']);
  });
  test('two tenths of a millimetre are two tenths', () => {
    expect(readLength('2/10 mm').max_mm).toBeCloseTo(0.2, 12);
    expect(readLength('2/10 mm').min_mm).toBeCloseTo(0.2, 12);
  });
});

describe('every condition that is read is a lubricant', () => {
  const OILED =
    'oiled lubricated greased geölt gefettet huilés graissé oliato ingrassato lubrificato aceitado engrasado lubricado oljad smord geolied ingevet naolejovaný namazaný smurt';
  const DRY = 'dry unoiled trocken sec sèche secco asciutto seco torr torrt droog suchý tørt';
  test.each(OILED.split(' '))('20 Nm, %s', (word) => expect(film(`20 Nm, ${word}`)).toBe('engine-oil'));
  test.each(DRY.split(' '))('20 Nm, %s', (word) => expect(film(`20 Nm, ${word}`)).toBe('dry-bare'));
});

describe('what is turned back is no angle to be pulled', () => {
  test.each([
    '35 lb ft then back off 1/6 turn',
    'back off 60 degrees',
    'tighten to 35 lb ft, slacken ½ turn',
    '20 Nm, dann 90° zurückdrehen',
    '20 Nm, dann 90° lösen',
    '2 m.kg puis desserrer de 90°',
    '2 kgm poi allentare 90°',
    '2 kgm y aflojar 90°',
    '20 Nm, lossa 90°',
    '20 Nm + 90° anticlockwise',
  ])('%j', (text) => expect(codeOf(() => readTorque(text))).toBe('unreadable'));
  test('a back cover is no turning back, and neither is a turn forward', () => {
    expect(readTorque('back cover bolts 12 lb ft').kind).toBe('torque');
    expect(readTorque('slackened nut: 12 lb ft').kind).toBe('torque');
    expect(readTorque('20 Nm + 90°').kind).toBe('stages');
  });
});

describe('stages', () => {
  const stages = (text: string) => {
    const print = read(text);
    if (print.kind !== 'stages') throw new Error(`${text} was read as ${print.kind}`);
    return print.stages.map((stage) => ('min_Nm' in stage ? Number(stage.min_Nm.toPrecision(4)) : `${stage.min_deg}°`));
  };
  test.each<[string, readonly (number | string)[]]>([
    ['20 lb ft + 90°', [27.12, '90°']],
    ['20 lb ft, then a further ¼ turn', [27.12, '90°']],
    ['20 Nm 90°', [20, '90°']],
    ['20 / 35 / 42 lb ft in three stages', [27.12, 47.45, 56.94]],
    ['20, 35 and 42 lb ft', [27.12, 47.45, 56.94]],
    ['20 then 40 lb ft', [27.12, 54.23]],
    ['first to 20 lb ft and then to 40 lb ft', [27.12, 54.23]],
    ['stage 1: 20 lb ft, stage 2: 40 lb ft', [27.12, 54.23]],
    ['20 Nm, dann 40 Nm, dann 90°', [20, 40, '90°']],
  ])('%j', (text, expected) => expect(stages(text)).toEqual(expected));
  test('the last torque is what the fastener is left at, with the others as shares of it', () => {
    expect(read('20 / 35 / 40 lb ft')).toMatchObject({ final: { printedMax: 40 }, shares: [0.5, 0.875, 1] });
    expect(read('20 lb ft + 90°')).not.toHaveProperty('final');
  });
  const asked = (text: string) => notesToAgree(read(text).notes).map(({ code }) => code);
  test('a range that is pulled in stages stays a range, and is asked about', () => {
    expect(read('36-40 lb ft in two stages')).toMatchObject({
      kind: 'torque',
      readings: [{ printedMin: 36, printedMax: 40 }],
    });
    expect(asked('36-40 lb ft in two stages')).toEqual(['unread-words']);
    expect(asked('38 lb ft in two stages')).toEqual([]);
  });
  test('figures in a row without a word on stages are asked about', () => {
    expect(asked('20 / 35 / 42 lb ft')).toEqual(['taken-for-stages']);
    expect(asked('20 / 35 / 42 lb ft in three stages')).toEqual([]);
  });
  test('what is asked of one figure is asked of stages too', () => {
    expect(asked('20 lb ft then max. 40 lb ft')).toEqual(['upper-limit']);
    expect(asked('200 Nm then 600 Nm')).toEqual(['beyond-usual']);
    expect(asked('20 lb ft then breaks at 40 lb ft')).toEqual(['unread-words']);
    expect(codeOf(() => read('-20 lb ft + 90°'))).toBe('negative');
  });
  test.each(['2/3 mkg then 90°', '1,200 mkg + 90°'])('%j has a stage that is two things', (text) =>
    expect(codeOf(() => read(text))).toBe('unreadable'),
  );
  test.each(['42/40/38 lb ft', '38 40 42 lb ft', '38, 40 lb ft', '38-40-39 lb ft', '36-40 then lb ft 38'])(
    '%j is no row of stages, and no range of the first two',
    (text) => expect(codeOf(() => read(text))).toBe('unreadable'),
  );
  test('three lengths in a row are none', () => expect(codeOf(() => readLength('1-2-3 mm'))).toBe('unreadable'));
  test.each(['40 lb ft then 20 lb ft', '20 lb ft then 40', '90° then 20 lb ft'])('%j is no going up', (text) =>
    expect(codeOf(() => read(text))).toBe('unreadable'),
  );
});

test.each([
  ['od 36 do 40 Nm', 36, 40],
  ['36 až 40 Nm', 36, 40],
  ['36 y 40 Nm', 36, 40],
  ['36 ～ 40 Nm', 36, 40],
  ['36〜40 Nm', 36, 40],
  ['３８ Nm', 38, 38],
  ['4 ㎏·m', 39.23, 39.23],
])('%j', (text, least, most) => expect(figures(text)).toEqual([[least, most]]));
test.each([
  ['¼ vuelta', 90],
  ['1/4 varv', 90],
  ['120° (2 flats)', 120],
])('%j is a turn of %d°', (text, degrees) => expect(read(text)).toMatchObject({ kind: 'turn', max_deg: degrees }));
test.each([
  ['90°', []],
  ['22,5°', ['decimal-comma']],
  ['22-22,5°', ['decimal-comma']],
  ['¼ turn', ['fraction']],
  ['90 to 60°', ['range-reversed']],
])('what is told of the turn %j: %j', (text, codes) => expect(read(text).notes.map(({ code }) => code)).toEqual(codes));

test.each([
  ...'off pcs pieces stück pièces pezzi'.split(' ').map((word) => `25 Nm (10 ${word})`),
  ...'stages steps passes stufen étapes phases fasi etapas steg stappen kroky trin'
    .split(' ')
    .map((word) => `25 Nm in 3 ${word}`),
  ...['M8x1.25', '3/8 BSF', '3/8 bsw', '5/16 unf', '1/4 UNC', '1/4 cei', '1/4 whitworth'].map(
    (size) => `${size} 25 Nm`,
  ),
  ...'stage step stufe étape fase etapa steg'.split(' ').map((word) => `${word} 2: 25 Nm`),
])('“%s” has one figure in it', (text) => {
  const { readings } = readTorque(text);
  expect(readings.map(({ min_Nm, max_Nm }) => [min_Nm, max_Nm])).toEqual([[25, 25]]);
});

test.each([
  'wet sump nuts 38 lb ft, oiled',
  'oil pump nuts 38 lb ft, oiled',
  'locknut 38 lb ft (dry)',
  'grease nipple 38 lb ft; threads greased',
])('“%s”: a part before the figure is no condition and is not asked about', (text) => {
  expect(read(text)).toMatchObject({ condition: expect.stringMatching(/^(oiled|dry|greased)$/), notes: [] });
});
