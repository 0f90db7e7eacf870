import './whole-core';
import '../core-later/piece';
import type { Id, Plan } from '@velvet-tape/core';
import { planOfOption } from '@velvet-tape/core/options';
import { writeDecimalsWith } from '@velvet-tape/core/units';
import { type GetInAnswer, type GetInQuestion, getIn } from '@velvet-tape/core/pieces/get-in';
import { expose } from 'comlink';

const carrying = {
  decimals: (mark: '.' | ','): void => writeDecimalsWith(mark),

  /** Will a piece get in, as an option has the house? Null: as it was measured. Stopped by ending the worker. */
  getIn: (plan: Plan, option: Id | null, question: GetInQuestion, progress: (share: number) => void): GetInAnswer => {
    let last = 0;
    return getIn(option === null ? plan : planOfOption(plan, option), question, (share) => {
      if (share - last > 0.02) void progress((last = share));
      return false;
    });
  },
};

export type Carrying = typeof carrying;

expose(carrying);
