import './whole-core';
import '../core-later/piece';
import type { Plan } from '@velvet-tape/core';
import { writeDecimalsWith } from '@velvet-tape/core/units';
import { type GetInAnswer, type GetInQuestion, getIn } from '@velvet-tape/core/pieces/get-in';
import { expose } from 'comlink';

const carrying = {
  decimals: (mark: '.' | ','): void => writeDecimalsWith(mark),

  /** Will a piece get in? Stopped by ending the worker. */
  getIn: (plan: Plan, question: GetInQuestion, progress: (share: number) => void): GetInAnswer => {
    let last = 0;
    return getIn(plan, question, (share) => {
      if (share - last > 0.02) void progress((last = share));
      return false;
    });
  },
};

export type Carrying = typeof carrying;

expose(carrying);
