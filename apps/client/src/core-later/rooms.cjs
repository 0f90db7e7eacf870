const { join } = require('node:path');

const core = join(__dirname, '../../../../packages/core/src/');
/** Those that `core/src/later` names; folders, for an import is looked up once for all files of a folder. */
const ROOMS = [
  'later/',
  'edits/later/',
  'notes/',
  'pieces/',
  'options/',
  'finishes/',
  'drawing/section/',
  'stairs/checks/',
  'vantages/',
].map((room) => join(core, room));

/** Those that come with them, or later, and import them as they are: what is lent, and what only workers count, raise and make pages with. */
const BESIDE = ['on-loan/', 'sheets/', 'areas/', 'raised/', 'axonometric/'].map((room) => join(core, room));

/**
 * The rooms of the core that are not wanted for every plan come in a piece of their own. A bundler would put whatever they share with the plan into the first page; so what
 * they take of the core they have on loan, and what the core takes of them is a stand-in until they have come. Null: the import is of no such room.
 */
function standIn(from, to) {
  if (!from.startsWith(core) || !to.startsWith(core)) return null;
  const isLater = (path) => ROOMS.some((room) => path.startsWith(room));
  if (isLater(from) === isLater(to) || BESIDE.some((room) => from.startsWith(room))) return null;
  return join(__dirname, isLater(from) ? 'lent.js' : 'to-come.ts');
}

module.exports = { ROOMS, standIn };
