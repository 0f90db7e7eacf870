import MiniSearch from 'minisearch';
import type { PieceKind, PieceRoom } from './kind';
import { PIECE_KINDS } from './kinds';

let search: MiniSearch | null = null;

/** Words of the catalogue; made when something is first looked for. */
function index(): MiniSearch {
  if (search) return search;
  search = new MiniSearch({
    fields: ['name', 'words', 'group'],
    searchOptions: {
      boost: { name: 3, words: 1.5 },
      prefix: true,
      fuzzy: (term) => (term.length > 3 ? 0.25 : false),
      combineWith: 'AND',
    },
  });
  search.addAll(PIECE_KINDS.map(({ id, name, words, group }) => ({ id, name, words, group })));
  return search;
}

const BY_ID = new Map(PIECE_KINDS.map((kind) => [kind.id, kind]));

/** Kinds by a word, the best first; a slip of the keys is forgiven. Nothing typed: all. */
export function findPieces(words: string): readonly PieceKind[] {
  if (words.trim() === '') return PIECE_KINDS;
  const found = index().search(words);
  return (found.length > 0 ? found : index().search(words, { combineWith: 'OR' })).flatMap(
    ({ id }) => BY_ID.get(id as string) ?? [],
  );
}

/** What a name says of what is put into its room. */
const SAYS: Readonly<Record<PieceRoom, RegExp>> = {
  kitchen: /kitch|pantry|larder|scullery|galley/i,
  dining: /dining|breakfast|eat/i,
  living: /living|lounge|sitting|parlou?r|family|waiting|hall.?room|drawing/i,
  bedroom: /bed|sleep|guest|master|chamber/i,
  child: /child|nurser|kid|play|boy|girl/i,
  bath: /bath|wash|shower|wc|toilet|loo|cloak|en.?suite/i,
  laundry: /laundry|utility|boiler|drying/i,
  hall: /hall|landing|corridor|entr|lobby|porch|passage|ticket/i,
  study: /study|office|work|sewing|studio|librar|craft/i,
  store: /store|storage|garage|cellar|shed|loft|attic|net|box.?room|closet|boat/i,
  outside: /terrace|balcon|garden|yard|patio|deck|outside/i,
};

/** What a room is for, as its name says; null where it says nothing. */
export const roomFor = (name: string): PieceRoom | null =>
  (Object.keys(SAYS) as PieceRoom[]).find((room) => SAYS[room].test(name)) ?? null;

/** What is offered in a room of which nothing is known. */
const USUAL = [
  'sofa-3',
  'table',
  'chair',
  'bed-double',
  'wardrobe',
  'bookcase',
  'base-unit',
  'wc',
  'box',
  'rug',
  'armchair',
];

/** Kinds in the order they are offered in a room: its own first. */
export function offeredIn(room: PieceRoom | null, kinds: readonly PieceKind[] = PIECE_KINDS): readonly PieceKind[] {
  if (!room) return [...new Set([...USUAL.flatMap((id) => BY_ID.get(id) ?? []), ...kinds])];
  const rank = ({ rooms }: PieceKind) => (rooms[0] === room ? 0 : rooms.includes(room) ? 1 : 2);
  return kinds
    .map((kind, i) => ({ kind, i }))
    .sort((a, b) => rank(a.kind) - rank(b.kind) || a.i - b.i)
    .map(({ kind }) => kind);
}
