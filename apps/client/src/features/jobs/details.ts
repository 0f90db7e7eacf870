import {
  type JobDetails,
  LONGEST_NAME,
  type Units,
  USUAL,
  feetAndInches,
  formatLength,
  formatSize,
  likelier,
  parseLength,
} from '@velvet-tape/core';
import { z } from 'zod';
import type { Row } from './JobForm';

const SIZES = ['external', 'internal', 'ceiling'] as const;
const ENTRY = {
  metric: { external: 'mm', internal: 'mm', ceiling: 'm' },
  imperial: { external: 'in', internal: 'in', ceiling: 'ft' },
} as const;

const MEASURED = { external: 'thickness', internal: 'thickness', ceiling: 'ceiling' } as const;

/** What is asked about a job. */
export const detailsSchema = z
  .object({
    name: z.string().trim().max(LONGEST_NAME, `A name can have ${LONGEST_NAME} characters at most.`),
    address: z.string().trim().max(LONGEST_NAME, `An address can have ${LONGEST_NAME} characters at most.`),
    units: z.enum(['metric', 'imperial']),
    external: z.string(),
    internal: z.string(),
    ceiling: z.string(),
  })
  .superRefine((form, context) => {
    for (const name of SIZES) {
      const read = parseLength(form[name], ENTRY[form.units][name]);
      if (!read.ok) context.addIssue({ code: 'custom', path: [name], message: read.reason });
    }
  });
export type Details = z.infer<typeof detailsSchema>;

type Usual = Pick<JobDetails['usual'], 'externalThickness' | 'internalThickness' | 'ceilingHeight'>;

/** Usual sizes as they are written in the fields. */
export const sizesIn = (units: Units, usual: Usual = USUAL[units]): Pick<Details, (typeof SIZES)[number]> => {
  const { externalThickness, internalThickness, ceilingHeight } = usual;
  return units === 'metric'
    ? {
        external: `${Math.round(externalThickness * 10) / 10} mm`,
        internal: `${Math.round(internalThickness * 10) / 10} mm`,
        ceiling: formatLength(ceilingHeight, units),
      }
    : {
        external: feetAndInches(externalThickness, 16),
        internal: feetAndInches(internalThickness, 16),
        ceiling: feetAndInches(ceilingHeight, 16),
      };
};

/** The fields of every job. `changed`: what is written in the usual sizes when the units are changed. */
export const detailRows = (changed: (units: Units) => Partial<Details>): readonly Row<Details>[] => [
  { kind: 'text', name: 'name', label: 'Name (can wait)' },
  { kind: 'text', name: 'address', label: 'Address line' },
  {
    kind: 'choice',
    name: 'units',
    choices: [
      { value: 'metric', label: 'Metres' },
      { value: 'imperial', label: 'Feet and inches' },
    ],
    with: (units) => changed(units as Units),
  },
  { kind: 'heading', text: 'What is usual in this house' },
  { kind: 'text', name: 'external', label: 'Outer wall thickness' },
  { kind: 'text', name: 'internal', label: 'Inner wall thickness' },
  { kind: 'text', name: 'ceiling', label: 'Ceiling height' },
];

const read = (form: Details, name: (typeof SIZES)[number]): number => {
  const length = parseLength(form[name], ENTRY[form.units][name]);
  return length.ok ? length.mm : NaN;
};

/** Sizes that hardly any house has, each with what is asked about it; `again` is what the button is called that takes them as they are. */
export const unlikelySizes = (form: Details, again: string): readonly (readonly [keyof Details, string])[] =>
  SIZES.filter((name) => likelier(read(form, name), MEASURED[name]).length > 0).map((name) => {
    const said = name === 'ceiling' ? formatLength : formatSize;
    const others = likelier(read(form, name), MEASURED[name]).map((size) => said(size, form.units));
    return [
      name,
      `${formatLength(read(form, name), form.units)}? Did you mean ${others.join(' or ')}? ${again} again to keep it.`,
    ];
  });

/** The usual sizes of a form that holds. What was only written in other units, and rounded for it, stays what it was. */
export function usualOf(form: Details, was?: Usual): Usual {
  const written = was && sizesIn(form.units, was);
  const size = (name: (typeof SIZES)[number], of: keyof Usual) =>
    was && form[name] === written![name] ? was[of] : read(form, name);
  return {
    externalThickness: size('external', 'externalThickness'),
    internalThickness: size('internal', 'internalThickness'),
    ceilingHeight: size('ceiling', 'ceilingHeight'),
  };
}

/** Asks about unlikely sizes once: what is sent a second time as it is, is meant. */
export function askOnce(again: string): (form: Details) => readonly (readonly [keyof Details, string])[] {
  let asked = '';
  return (form) => {
    const unlikely = unlikelySizes(form, again);
    const typed = JSON.stringify(unlikely.map(([name]) => form[name]));
    if (unlikely.length === 0 || asked === typed) return [];
    asked = typed;
    return unlikely;
  };
}
