import type { Intent } from '@velvet-tape/core';

/** What is shown has no time yet: an intent, and what is read with it, gets one when it is done. */
export function timed(intent: Intent, now = new Date().toISOString()): Intent {
  const own = 'time' in intent && intent.time === '' ? { time: now } : {};
  const read = 'read' in intent && intent.read?.time === '' ? { read: { ...intent.read, time: now } } : {};
  return { ...intent, ...own, ...read } as Intent;
}
