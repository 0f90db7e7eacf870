import { USUAL } from '@velvet-tape/core';
import * as fc from 'fast-check';
import { type Details, askOnce, detailsSchema, sizesIn, usualOf } from '../src/features/jobs/details';

const form = (given: Partial<Details>): Details => ({
  name: 'Mill',
  address: '',
  units: 'metric',
  ...sizesIn('metric'),
  ...given,
});

test('details that are kept as they are change no size, in whichever units they are written', () => {
  const size = fc.double({ min: 60, max: 5000, noNaN: true });
  fc.assert(
    fc.property(
      fc.record({ externalThickness: size, internalThickness: size, ceilingHeight: size }),
      fc.constantFrom('metric', 'imperial'),
      (usual, units) => {
        const written = form({ units, ...sizesIn(units, usual) });
        expect(detailsSchema.safeParse(written).success).toBe(true);
        expect(usualOf(written, usual)).toEqual(usual);
      },
    ),
  );
});

test('what is typed is taken, the rest stays', () => {
  const usual = { ...USUAL.metric, externalThickness: 303.04 };
  const { externalThickness, internalThickness, ceilingHeight } = usualOf(
    form({ ...sizesIn('metric', usual), internal: '11.5 cm', ceiling: '2,75' }),
    usual,
  );
  expect([externalThickness, internalThickness, ceilingHeight]).toEqual([303.04, 115, 2750]);
});

test('a size hardly any house has is asked about once, and again when it is another', () => {
  const ask = askOnce('Press');
  const slipped = form({ ceiling: '24' });
  expect(ask(slipped)).toEqual([['ceiling', '24.00 m? Did you mean 2.40 m? Press again to keep it.']]);
  expect(ask(slipped)).toEqual([]);
  expect(ask(form({ ceiling: '25' }))).toHaveLength(1);
  expect(ask(form({}))).toEqual([]);
});

test('what is no length is refused at its field', () => {
  const read = detailsSchema.safeParse(form({ external: 'thick' }));
  expect(read.success ? [] : read.error.issues.map(({ path }) => path[0])).toEqual(['external']);
});
