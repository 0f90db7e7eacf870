/**
 * Debian's Chromium, without the network chatter of its own. It draws by the processor, as where there is no graphics card: to emulate one, which only 3D
 * needs, takes 150 ms a frame.
 */
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
      '--disable-gpu',
    ],
  },
};

export const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true };
export const WIDE = { viewport: { width: 1280, height: 800 }, hasTouch: false, isMobile: false };

/** The same with a graphics card emulated, for what is drawn in space. */
export const IN_SPACE = {
  ...CHROMIUM,
  launchOptions: {
    ...CHROMIUM.launchOptions,
    args: [
      ...CHROMIUM.launchOptions.args.filter((each) => each !== '--disable-gpu'),
      '--use-angle=swiftshader',
      '--enable-unsafe-swiftshader',
    ],
  },
};
