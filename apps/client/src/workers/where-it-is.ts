/** What writes PDF asks, as it is loaded, where it came from; a worker that is no module is not told. First of all its imports. */
const own = globalThis as { __ExpoImportMetaRegistry?: { url: string } };
own.__ExpoImportMetaRegistry ??= { url: globalThis.location.href };

export {};
