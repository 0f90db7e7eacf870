/** Keeps the application itself on the device, so that it opens without a connection. Not while developing. */
export function registerServiceWorker(): void {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  navigator.serviceWorker.register('/service-worker.js').catch(() => {
    // without it the application needs a connection to open; everything else works
  });
}
