// what the browser has and jsdom has not
const { webcrypto } = require('node:crypto');
globalThis.structuredClone ??= (value) => JSON.parse(JSON.stringify(value));
if (!globalThis.crypto?.getRandomValues) Object.defineProperty(globalThis, 'crypto', { value: webcrypto });
globalThis.BroadcastChannel ??= class {
  postMessage() {}
  close() {}
};
const { TextDecoder, TextEncoder } = require('node:util');
Object.assign(globalThis, { TextDecoder, TextEncoder });
