import * as core from '@velvet-tape/core/on-loan';
import { lendCore } from '../core-later/loan';

// a worker has all of the core at once: it lends it to the rooms that come later, which follow (core-later/rooms.cjs)
lendCore(core);
