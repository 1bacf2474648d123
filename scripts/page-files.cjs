// What every page fetches beside itself, its scripts, styles and faces of type: made ready once when it is built, and
// sent from memory by the server in front.
const { readFile, readdir, writeFile } = require('node:fs/promises');
const { join } = require('node:path');
const { promisify } = require('node:util');
const { brotliCompress, constants, gzip } = require('node:zlib');

const KINDS = {
  js: 'application/javascript; charset=UTF-8',
  css: 'text/css; charset=UTF-8',
  woff2: 'font/woff2',
};
const PLACE = /^\/_next\/(static\/(?:chunks|media)\/[\w.~-]+\.(js|css|woff2))$/;

/**
 * Half of a script's functions are called before its page listens, most of the time on the one thread that also draws:
 * a browser that knows this line reads them in beforehand, beside it. To all others it is a comment.
 */
const READ_IN_AHEAD = '//# allFunctionsCalledOnLoad\n';

/** In the order in which they are preferred; browsers take the first from this machine or by a safe address alone. */
const PACKINGS = [
  {
    encoding: 'br',
    ending: '.br',
    // A step more takes three seconds of a build for one part in fifty.
    pack: (whole) => promisify(brotliCompress)(whole, { params: { [constants.BROTLI_PARAM_QUALITY]: 10 } }),
  },
  { encoding: 'gzip', ending: '.gz', pack: (whole) => promisify(gzip)(whole, { level: 9 }) },
];

/** Marks the scripts of a build, and lays what can be packed beside itself, packed. */
async function readyFiles(built) {
  const folder = join(built, 'static', 'chunks');
  const names = (await readdir(folder)).filter((name) => /\.(js|css)$/.test(name));
  await Promise.all(
    names.map(async (name) => {
      const path = join(folder, name);
      const found = await readFile(path);
      const isMarked =
        !name.endsWith('.js') || found.subarray(0, READ_IN_AHEAD.length).equals(Buffer.from(READ_IN_AHEAD));
      const whole = isMarked ? found : Buffer.concat([Buffer.from(READ_IN_AHEAD), found]);
      if (!isMarked) await writeFile(path, whole);
      for (const { ending, pack } of PACKINGS) await writeFile(path + ending, await pack(whole));
    }),
  );
}

const isTaken = (accepted, encoding) =>
  accepted.split(',').some((one) => {
    const [name, weight] = one.split(';').map((part) => part.trim().toLowerCase());
    return name === encoding && !/^q=0(\.0*)?$/.test(weight ?? '');
  });

/**
 * Answers what is asked of a build's files, each read from the disk once, and hands on all else: what is not there,
 * what is not only asked for, what asks for a part.
 *
 * @param built the folder of the build
 */
function pageFiles(built) {
  const kept = new Map();
  const read = async (path) => {
    const known = kept.get(path) ?? (await readFile(path).catch(() => undefined));
    // Of what is not there nothing is kept: anybody may ask for anything.
    if (known) kept.set(path, known);
    return known;
  };
  async function answered(path, kind, request, response) {
    const packing = PACKINGS.find(({ encoding }) => isTaken(request.headers['accept-encoding'] ?? '', encoding));
    const packed = packing && (await read(path + packing.ending));
    const body = packed ?? (await read(path));
    if (!body) return false;
    response.writeHead(200, {
      'content-type': KINDS[kind],
      'content-length': body.length,
      // A file that is altered has another name.
      'cache-control': 'public, max-age=31536000, immutable',
      vary: 'accept-encoding',
      ...(packed && { 'content-encoding': packing.encoding }),
    });
    response.end(request.method === 'HEAD' ? undefined : body);
    return true;
  }
  return (request, response, handOn) => {
    const [, path, kind] = PLACE.exec(request.url ?? '') ?? [];
    if (!path || !['GET', 'HEAD'].includes(request.method) || request.headers.range) handOn();
    else void answered(join(built, path), kind, request, response).then((isAnswered) => isAnswered || handOn());
  };
}

module.exports = { pageFiles, readyFiles };
