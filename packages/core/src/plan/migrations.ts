type Loose = Record<string, unknown>;

const isObject = (value: unknown): value is Loose =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const each = (entities: unknown, change: (entity: Loose) => Loose): unknown =>
  isObject(entities)
    ? Object.fromEntries(
        Object.entries(entities).map(([id, entity]) => [id, isObject(entity) ? change(entity) : entity]),
      )
    : entities;

/** What leads from each version of the document to the next. */
const STEPS: Record<number, (plan: Loose) => Loose> = {
  // walls bend, solids stand in rooms, rooms have a colour and labels a place, party walls a usual thickness
  1: (plan) => ({
    ...plan,
    schema: 2,
    job: withPartyThickness(plan['job']),
    walls: each(plan['walls'], (wall) => ({ bulge: 0, ...wall })),
    rooms: each(plan['rooms'], (room) => ({ label: null, colour: null, ...room })),
    solids: {},
  }),
  // readings of more kinds, by other instruments, with what was read before
  2: (plan) => ({
    ...plan,
    schema: 3,
    readings: each(plan['readings'], (reading) => ({
      via: [],
      note: '',
      held: false,
      spread: false,
      history: [],
      ...reading,
    })),
  }),
  // heights are read too
  3: (plan) => ({ ...plan, schema: 4, heights: {} }),
  // doors and windows have numbers
  4: (plan) => ({ ...plan, schema: 5, openings: numbered(plan['openings'], plan['walls']) }),
  // what doors and windows are stands in types; gaps along walls are read
  5: (plan) => ({ ...plan, schema: 6, gaps: {}, ...typed(plan['openings']) }),
  // pictures lie under the plan
  6: (plan) => ({ ...plan, schema: 7, underlays: {} }),
  // every room has a floor: seen to when it is read (`onTheirFloors`)
  7: (plan) => ({ ...plan, schema: 8 }),
  // floors have a height
  8: (plan) => ({ ...plan, schema: 9, floors: each(plan['floors'], (floor) => ({ height: null, ...floor })) }),
  // a note to the job
  9: (plan) => ({ ...plan, schema: 10, job: isObject(plan['job']) ? { note: '', ...plan['job'] } : plan['job'] }),
  // stairs, and rooms without a floor of their own
  10: (plan) => ({
    ...plan,
    schema: 11,
    job: isObject(plan['job'])
      ? { stairRule: plan['job']['units'] === 'imperial' ? 'US' : 'general', ...plan['job'] }
      : plan['job'],
    rooms: each(plan['rooms'], (room) => ({ overVoid: false, ...room })),
    floors: each(plan['floors'], (floor) => ({ buildUp: null, overBelow: null, hidden: false, ...floor })),
    stairs: {},
  }),
  // ceilings slope, rooms have a use, areas a rule
  11: (plan) => ({
    ...plan,
    schema: 12,
    job: isObject(plan['job'])
      ? {
          areaRule: plan['job']['units'] === 'imperial' ? 'ANSI Z765' : 'net',
          besideRule: null,
          listed: null,
          ...plan['job'],
        }
      : plan['job'],
    rooms: each(plan['rooms'], (room) => ({
      ...{ toRidge: false, underRoof: true, step: 0, use: null, useReason: '' },
      ...room,
    })),
    heights: each(plan['heights'], (height) => ({ slope: null, ...height })),
    slopes: {},
    breaks: {},
  }),
  // sheets
  12: (plan) => ({
    ...plan,
    schema: 13,
    job: isObject(plan['job']) ? { drawnBy: '', disclaimer: '', ...plan['job'] } : plan['job'],
    sheets: {},
    frames: {},
  }),
  // dimension lines, notes, looks of one's own; what labels say, what walls and floors are made of
  13: (plan) => ({
    ...plan,
    schema: 14,
    job: isObject(plan['job'])
      ? { logo: null, labels: { shows: ['name', 'area', 'text'], both: false }, look: 'on site', ...plan['job'] }
      : plan['job'],
    walls: each(plan['walls'], (wall) => ({ hatch: null, tint: null, ...wall })),
    rooms: each(plan['rooms'], (room) => ({
      ...{ says: null, text: '', labelSize: 1, labelTurn: 0, covering: '', hatch: null },
      ...room,
    })),
    dimensions: {},
    points: {},
    annotations: {},
    looks: {},
  }),
  // pieces stand in rooms, in one option or another
  14: (plan) => ({ ...plan, schema: 15, options: {}, pieces: {}, alterations: {}, alterationEnds: {} }),
  // places one looks from, and where on earth that is
  15: (plan) => ({
    ...plan,
    schema: 16,
    job: isObject(plan['job']) ? { place: null, ...plan['job'] } : plan['job'],
    vantages: {},
  }),
  // how surfaces look, what runs round rooms, pictures that were taken
  16: (plan) => ({ ...plan, schema: 17, finishes: {}, trims: {}, taken: {} }),
};

/** In the order they were made, by floor and kind. */
function numbered(openings: unknown, walls: unknown): unknown {
  const last = new Map<string, number>();
  return each(openings, (opening) => {
    const wall = isObject(walls) ? walls[opening['wall'] as string] : null;
    const key = `${isObject(wall) ? String(wall['floor']) : ''} ${String(opening['kind'])}`;
    const number = (last.get(key) ?? 0) + 1;
    last.set(key, number);
    return { number, ...opening };
  });
}

/** Openings of one kind and size are of one type, which has the id of the first of them. */
function typed(openings: unknown): Loose {
  const types: Loose = {};
  const known = new Map<string, string>();
  const placed = each(openings, ({ kind, width, height, sill, ...place }) => {
    const key = JSON.stringify([kind, width, height, sill]);
    const id = known.get(key) ?? `type-${String(place['id'])}`.slice(0, 64);
    known.set(key, id);
    const window = kind === 'window';
    types[id] ??= {
      id,
      name: '',
      form: window ? 'side-hung window' : 'hinged door',
      width,
      height,
      sill,
      toCeiling: false,
      frame: window ? 60 : 32,
      depth: null,
      glazing: window ? 1 : 0,
      bars: { across: 0, upright: 0 },
      angle: 90,
      material: '',
    };
    return { ...place, type: id, ownSill: null, note: '' };
  });
  return { types, openings: placed };
}

function withPartyThickness(job: unknown): unknown {
  if (!isObject(job) || !isObject(job['usual'])) return job;
  const partyThickness = job['units'] === 'imperial' ? 203.2 : 200;
  return { ...job, usual: { partyThickness, ...job['usual'] } };
}

/** A document of an older version brought up to date, step by step; anything else is given back as it is. */
export function migrated(input: unknown): unknown {
  let plan = input;
  while (isObject(plan)) {
    const { schema } = plan;
    const step = Number.isInteger(schema) ? STEPS[schema as number] : undefined;
    if (!step) return plan;
    plan = step(plan);
  }
  return plan;
}
