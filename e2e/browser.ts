/** Debian's Chromium, without the network chatter of its own. */
export const CHROMIUM = {
  browserName: 'chromium' as const,
  serviceWorkers: 'block' as const,
  launchOptions: {
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--use-angle=swiftshader',
      '--enable-unsafe-swiftshader',
    ],
  },
};

export const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };
export const WIDE = { viewport: { width: 1280, height: 800 } };
