// Who may come in, with how much, and what the answer forbids the page that gets it. Asked once, before anything reads
// the request.
import { randomBytes } from 'node:crypto';
import { hostname, networkInterfaces } from 'node:os';
import { isIP } from 'node:net';

const MB = 1_000_000;
/** A build file of 50 million characters, and what the form round it takes. */
const LARGEST_FORM = 60 * MB;
/** How much may come in by each way; a page's own forms are the rest. */
const LARGEST = [
  [/^\/api\/copies$/, 4000 * MB],
  [/^\/api\/leaves\/[^/]+\/photo$/, 31 * MB],
  [/^\/api\//, MB],
];

const OPEN_TO_ALL = ['0.0.0.0', '::'];

/** The name in a Host header without its port; undefined where it is none. */
function nameIn(host) {
  if (typeof host !== 'string' || host === '' || /[\s/@\\]/.test(host)) return undefined;
  return URL.canParse(`http://${host}`) ? new URL(`http://${host}`).hostname.replace(/^\[|\]$/g, '') : undefined;
}

/** Names under which this program may be asked for: this machine's, and those it was told. */
function namesOf({ host = '127.0.0.1', names = '' }) {
  const told = names.split(/[,\s]+/).filter(Boolean);
  const open = OPEN_TO_ALL.includes(host);
  const own = open ? [hostname(), `${hostname()}.local`] : [host];
  return { known: new Set(['127.0.0.1', 'localhost', '::1', ...own, ...told].map((name) => name.toLowerCase())), open };
}

const refusal = (status, code, message) => ({ status, body: { ok: false, error: { code, message } } });

/**
 * An act that was sent from a page that does not know it, as one that was under way when its page was left: the program
 * hands it on to itself, at the page that does, and tells no length. Its own limit of a form holds there.
 */
const isHandedOn = ({ headers, socket }, path) =>
  headers['x-action-forwarded'] === '1' &&
  headers['next-action'] !== undefined &&
  headers['transfer-encoding'] === 'chunked' &&
  !path.startsWith('/api/') &&
  isOwnMachine(socket?.remoteAddress ?? '');

const isOwnMachine = (address) =>
  /^(?:::ffff:)?127\./.test(address) ||
  address === '::1' ||
  Object.values(networkInterfaces()).some((all) => all?.some((one) => address.replace(/^::ffff:/, '') === one.address));

const isWriting = ({ method }) => method !== 'GET' && method !== 'HEAD' && method !== 'OPTIONS';

/** An origin is our own where it names the very host that was asked. */
const isOwnOrigin = (origin, host) => URL.canParse(origin) && new URL(origin).host === host && /^https?:/.test(origin);

/**
 * The door of a server that listens on `host` and is known by `names` beside.
 * @returns a question of each request: undefined lets it in, anything else is the answer to give
 */
export function doorOf(options) {
  const { known, open } = namesOf(options);
  // An address in figures cannot be bent to another machine as a name can.
  const isKnown = (name) => name !== undefined && (known.has(name.toLowerCase()) || (open && isIP(name) !== 0));
  return (request) => {
    const { headers, url = '/' } = request;
    const path = url.split('?', 1)[0];
    for (const host of [headers.host, headers['x-forwarded-host']])
      if (host !== undefined && !isKnown(nameIn(host)))
        return refusal(
          421,
          'unknown-host',
          'This program does not answer to that name. Name it in SPANNER_NAMES if it is yours.',
        );
    if (path.startsWith('/_next/image')) return refusal(404, 'not-found', 'There is nothing here.');
    if (!isSound(path)) return refusal(400, 'bad-address', 'The address cannot be read.');
    if (!isWriting(request)) return undefined;
    if (request.method !== 'POST') return refusal(405, 'bad-method', 'That cannot be done here.');
    const { origin } = headers;
    const isForeign = origin !== undefined && !isOwnOrigin(origin, headers['x-forwarded-host'] ?? headers.host);
    if (isForeign || headers['sec-fetch-site'] === 'cross-site')
      return refusal(403, 'other-origin', 'The request came from another site and was refused.');
    const most = LARGEST.find(([pattern]) => pattern.test(path))?.[1] ?? LARGEST_FORM;
    const length = headers['content-length'];
    if (length === undefined && isHandedOn(request, path)) return undefined;
    if (length === undefined) return refusal(411, 'length-required', 'Say how long the body is.');
    if (!(Number(length) <= most))
      return refusal(413, 'too-large', `At most ${Math.round(most / MB)} MB at once. Nothing was changed.`);
    return undefined;
  };
}

function isSound(path) {
  try {
    decodeURIComponent(path);
    return true;
  } catch {
    return false;
  }
}

/**
 * What a page may do: its own scripts, pictures and fonts, and nothing of anybody else. A script's answer rules only the
 * worker that it may become, which may compile what the program carries (draws of a simulation).
 */
const policyOf = (nonce, path) =>
  [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'${isScript(path) ? " 'wasm-unsafe-eval'" : ''}`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');

const isScript = (path) => /^\/_next\/static\/chunks\/[\w.~-]+\.js$/.test(path);

export const newNonce = () => randomBytes(16).toString('base64');

/** A style sheet or a face of type does nothing by itself; a policy for each of a page's two dozen weighs as one more. */
const isInert = (path) => /^\/_next\/static\/(chunks|media)\/[\w.~-]+\.(css|woff2)$/.test(path);

/** The headers of every answer, by what is asked for. */
export const headersOf = (nonce, path) => ({
  'Cross-Origin-Resource-Policy': 'same-origin',
  'X-Content-Type-Options': 'nosniff',
  ...(!isInert(path) && {
    'Content-Security-Policy': policyOf(nonce, path),
    'Cross-Origin-Opener-Policy': 'same-origin',
    'Referrer-Policy': 'same-origin',
    'X-Frame-Options': 'DENY',
  }),
});
