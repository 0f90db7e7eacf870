import { COLLECTIONS, KINDS } from '../src/plan/kinds';
import { hookKind } from './hook-kind';

// a kind that only the tests know is there as any other; nothing else is told of it: imported before all else, so that whatever is made of the kinds is made with it
Object.assign(KINDS, { hooks: hookKind });
(COLLECTIONS as string[]).push('hooks');
