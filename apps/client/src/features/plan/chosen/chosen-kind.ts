import type { Intent, Measured, Value } from '@velvet-tape/core';
import type { Command, RootState } from '../../../store/store';
import type { FieldShown } from '../foot/fields';
import type { Field, Selection } from '../plan-state';

/** What a field measures, and how much there is room for, mm: for asking about slips. */
export interface Sort {
  readonly measured: Measured;
  readonly most?: number;
}

/** All that is particular to one kind of thing that can be chosen, but for what is seen of it (`parts.tsx`) and taken hold of (`tools/grips.ts`). */
export interface ChosenKind<S extends Selection> {
  /** What of it can be typed, each with its value as it is. */
  readonly fields?: (state: RootState, chosen: S) => FieldShown[];
  /** What Enter does with what is typed into a field; null where that says nothing. */
  readonly typed?: (state: RootState, field: Field, read: Value, chosen: S) => Intent | null;
  /** Where Enter is no edit that can be shown beforehand. */
  readonly enter?: (value: number) => Command;
  /** Null where any size is as likely as another. */
  readonly measures?: (state: RootState, field: Field) => Sort | null;
  readonly remove?: (chosen: S) => Command;
  /** Moves it by so many mm on the sheet; what stands on a wall moves along it. */
  readonly nudge?: (chosen: S, dx: number, dy: number) => Command;
  /** What is chosen one step back; nothing unless given. */
  readonly back?: (chosen: S) => Selection;
}

export type Of<K extends Selection['kind']> = Extract<Selection, { kind: K }>;
