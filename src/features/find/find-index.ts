import MiniSearch from 'minisearch';
import { THREAD_ROWS } from '@/core/thread';
import { findableOf, type Findable } from '@/db/reads/findable';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import type { Shop } from '@/db/shop';
import { pause } from '@/server/in-bits';
import { plainWords } from '@/model/plain-words';

/** One thing that was found, and where it is. */
export interface Found {
  readonly kind: string;
  readonly title: string;
  /** What it belongs to, and what else is said of it. */
  readonly line: string;
  readonly href: string;
}

interface Entry extends Found {
  readonly key: string;
  readonly words: string;
}

const BOOSTS: Readonly<Record<string, number>> = { Engine: 2, Step: 0.3, Part: 0.3 };

const newIndex = () =>
  new MiniSearch<Entry>({
    idField: 'key',
    fields: ['title', 'line', 'words'],
    storeFields: ['kind', 'title', 'line', 'href'],
    processTerm: (term) => plainWords(term) || null,
    searchOptions: {
      prefix: true,
      // A letter in five may be wrong; a short word, and a figure, must be right.
      fuzzy: (term) => (term.length > 3 && !/\d/.test(term) ? 0.25 : false),
      combineWith: 'AND',
      boost: { title: 3 },
      // Whoever types an engine’s name means the engine before what is called after it.
      // Of a joint and the steps that tighten it, the joint: they lead there too.
      boostDocument: (_, __, stored) => BOOSTS[String(stored?.kind)] ?? 1,
    },
  });

const KINDS: Readonly<Record<Findable['kind'], readonly [said: string, path: (id: string) => string]>> = {
  engine: ['Engine', () => 'joints'],
  source: ['Source', () => 'book'],
  leaf: ['Entry', () => 'book'],
  joint: ['Joint', (id) => `joints/${id}`],
  fit: ['Fit', (id) => `fits/${id}`],
  step: ['Step', () => 'order'],
  part: ['Part', () => 'order/tray'],
  // Where a note stands comes with it.
  note: ['Note', () => 'about'],
};

function entryOf({ kind, id, engineId, title, text, place }: Findable, engine: string): Entry {
  const [said, path] = KINDS[kind];
  const [print = '', page = ''] = text.split('\n');
  const more = kind === 'leaf' ? `“${print}”, p. ${page}` : text.trim();
  return {
    key: `${kind} ${id}`,
    kind: said,
    title,
    line: [kind === 'engine' ? '' : engine, kind === 'fit' ? '' : more].filter(Boolean).join(' · '),
    words: text,
    href: `/engines/${engineId}/${place ?? path(id)}`,
  };
}

const SCREENS: readonly (readonly [kind: string, title: string, href: string, words?: string])[] = [
  ['Screen', 'On the stands', '/', 'engines home'],
  ['Screen', 'Due', '/due', 'overdue retorque waits'],
  ['Screen', 'Copies of the shop', '/copies', 'backup restore'],
  ['Screen', 'House practice', '/shelves/practice', 'settings'],
  ['Screen', 'Instruments', '/shelves/instruments', 'micrometer dial'],
  ['Screen', 'Timing', '/shelves/timing', 'degrees disc drop stop valve rim'],
  ['Screen', 'Threads', '/shelves/threads', 'finder caliper gauge spanner'],
  ['Screen', 'Last acts of the shop', '/shelves/acts', 'undo history'],
  ['Act', 'Put an engine on a stand', '/engines/new', 'new add'],
  ['Act', 'Read a build in', '/engines/read-in', 'import file'],
  ['Act', 'Take a copy of the shop', '/copies', 'backup save'],
];

const entry = (kind: string, title: string, href: string, line = '', words = ''): Entry => ({
  key: `${kind} ${title} ${href}`,
  kind,
  title,
  line,
  words,
  href,
});

/** What belongs to no engine: screens, acts, and the shelves, which are few. */
function sharedEntries(shop: Shop): readonly Entry[] {
  const { films, grades, metals, threads, wrenches } = shelvesOf(shop);
  const entries = [
    ...SCREENS.map(([kind, title, href, words]) => entry(kind, title, href, '', words)),
    ...films.map(({ name }) => entry('Lubricant', name, '/shelves/films')),
    ...grades.map(({ name }) => entry('Grade', name, '/shelves/grades')),
    ...metals.map(({ name }) => entry('Metal', name, '/shelves/metals')),
    ...threads.map(({ name }) => entry('Thread', name, '/shelves/threads-own', 'own')),
    ...THREAD_ROWS.map(({ designation, series }) => entry('Thread', designation, '/shelves/threads', series)),
    ...wrenches
      .filter(({ aside }) => aside === undefined)
      .map(({ name, unit, min, max }) => entry('Wrench', name, '/shelves/wrenches', `${min} to ${max} ${unit}`)),
    ...shop.trials
      .all()
      .filter(({ aside }) => aside === undefined)
      .map(({ id, name, thread }) => entry('Trial', name, `/shelves/trials/${id}`, thread)),
  ];
  return [...new Map(entries.map((one) => [one.key, one])).values()];
}

interface Kept {
  readonly index: MiniSearch<Entry>;
  readonly stamps: Map<string, number>;
  readonly keys: Map<string, readonly string[]>;
}

const kept = new WeakMap<Shop, Kept>();

/** More than this are read together, not one by one. */
const MANY = 20;

/** Brings the index up to what is on disk: only engines of which a row was written since are read again. */
async function engineIndex(shop: Shop): Promise<MiniSearch<Entry>> {
  const own: Kept = kept.get(shop) ?? { index: newIndex(), stamps: new Map(), keys: new Map() };
  kept.set(shop, own);
  const now = new Map(shop.summaries.stamped().map(({ engineId, stamp, name }) => [engineId, { stamp, name }]));
  const changed = [...now].filter(([id, { stamp }]) => own.stamps.get(id) !== stamp);
  const gone = [...own.stamps.keys()].filter((id) => !now.has(id));
  for (const id of [...gone, ...changed.map(([one]) => one)]) {
    for (const key of own.keys.get(id) ?? []) own.index.discard(key);
    own.keys.delete(id);
    own.stamps.delete(id);
  }
  if (changed.length === 0) return own.index;
  const rows = changed.length > MANY ? findableOf(shop, null) : changed.flatMap(([id]) => findableOf(shop, id));
  const byEngine = new Map<string, Findable[]>();
  for (const row of rows) byEngine.set(row.engineId, [...(byEngine.get(row.engineId) ?? []), row]);
  let since = performance.now();
  for (const [id, { stamp, name }] of changed) {
    // Another asker may have brought it up meanwhile.
    if (own.stamps.has(id)) continue;
    const entries = (byEngine.get(id) ?? []).map((row) => ({
      ...entryOf(row, name),
      key: `${id} ${row.kind} ${row.id}`,
    }));
    own.index.addAll(entries);
    own.keys.set(
      id,
      entries.map(({ key }) => key),
    );
    own.stamps.set(id, stamp);
    if (performance.now() - since > 15) {
      await pause();
      since = performance.now();
    }
  }
  return own.index;
}

const MOST = 24;

/** What the words may mean, the likeliest first; a slip of a letter is no matter. */
export async function find(shop: Shop, asked: string): Promise<readonly Found[]> {
  const words = asked.trim();
  if (words === '') return [];
  const shared = newIndex();
  shared.addAll(sharedEntries(shop));
  const hits = [...(await engineIndex(shop)).search(words), ...shared.search(words)];
  return hits
    .sort((a, b) => b.score - a.score)
    .slice(0, MOST)
    .map((hit) => {
      const { kind, title, line, href } = hit as unknown as Found;
      return { kind, title, line, href };
    });
}
