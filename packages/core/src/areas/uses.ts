import type { Room, RoomUse } from '../plan/plan';

/** Words in the name of a room that tell its use; the first that is found. Common practice, no source. */
const WORDS: readonly (readonly [RoomUse, readonly string[]])[] = [
  ['balcony', ['balcony', 'loggia', 'balkon', 'balcon']],
  ['terrace', ['terrace', 'patio', 'deck', 'veranda', 'terrasse', 'roof garden']],
  ['outside', ['garden shed', 'yard', 'courtyard', 'outside', 'carport', 'light well']],
  ['garage', ['garage', 'parking', 'boat house']],
  ['plant', ['boiler', 'plant', 'heating', 'meter', 'machine', 'heizung']],
  [
    'wet',
    ['bath', 'shower', 'wash', 'wc', 'toilet', 'lavatory', 'laundry', 'utility', 'sauna', 'ensuite', 'en suite', 'bad'],
  ],
  [
    'circulation',
    ['hall', 'landing', 'corridor', 'passage', 'lobby', 'stairs', 'staircase', 'porch', 'entrance', 'entry', 'flur'],
  ],
  [
    'storage',
    [
      'store',
      'storage',
      'cellar',
      'cupboard',
      'closet',
      'larder',
      'pantry',
      'linen',
      'attic store',
      'vault',
      'loft',
      'box room',
      'wardrobe',
    ],
  ],
];

/** A hall that is a room, as a dining hall or a ticket hall, is lived in. */
const LIVED_IN = /\b(ticket|dining|music|great|village|bed|living)\b/;

/** What a room is used for: as was chosen, else as its name says; without a hint it is lived in. */
export function useOf({ use, name }: Pick<Room, 'use' | 'name'>): RoomUse {
  return use ?? guessedUse(name);
}

const PATTERNS = WORDS.map(
  ([use, hints]) => [use, new RegExp(`(^|[^a-zäöüé])(${hints.join('|')})(s|room|haus|)?([^a-zäöüé]|$)`)] as const,
);

const guessed = new Map<string, RoomUse>();

/** Names are few: each is looked at once. */
export function guessedUse(name: string): RoomUse {
  let use = guessed.get(name);
  if (use === undefined) guessed.set(name, (use = guess(name.toLowerCase())));
  return use;
}

/** What a room has, or lies by, does not say what it is: “living room with wardrobe”. */
const BESIDES = /\s(with|incl|including|plus|and|next to|beside|behind|off|under|over|near|by|w\/|mit|avec)[\s.].*$/;

const guess = (name: string): RoomUse => byWords(name.replace(BESIDES, ''));

const byWords = (words: string): RoomUse =>
  PATTERNS.find(([use, pattern]) => pattern.test(words) && !(use === 'circulation' && LIVED_IN.test(words)))?.[0] ??
  'living';
