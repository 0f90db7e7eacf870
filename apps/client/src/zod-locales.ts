/** The application speaks English: the other languages of zod's messages stay out of the bundle (see metro.config.js). */
export { default as en } from 'zod/v4/locales/en.js';
