import { isIP } from 'node:net';
import { hostname } from 'node:os';
import { parseCookie } from 'cookie';
import { type Request, type RequestHandler, Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import { z } from 'zod';
import { HttpError } from '../http/errors';
import { validated } from '../http/validate';
import type { Key } from './key';

const COOKIE = 'velvet-tape-entry';
const A_YEAR = 365 * 24 * 3600 * 1000;
const MOST_TRIES = 20;

/**
 * Answers only under names that are this machine's own. A page elsewhere whose name was made to point here (DNS rebinding) is turned away: addresses in
 * figures can't be made to.
 */
export function ownName(names: readonly string[] = []): RequestHandler {
  const own = new Set(['localhost', hostname(), `${hostname()}.local`, ...names].map((name) => name.toLowerCase()));
  return (request, _response, next) => {
    const name = nameOf(request);
    if (name !== null && (own.has(name) || isIP(name))) return next();
    throw new HttpError(421, 'bad-request', 'This service does not answer under that name.');
  };
}

/** Lets in who is on this machine, and who has been let in with the key; nobody else. */
export function onlyWhoMayComeIn(key: Key): RequestHandler {
  return (request, _response, next) => {
    if (isOnThisMachine(request)) return next();
    const token = parseCookie(request.headers.cookie ?? '')[COOKIE];
    if (token !== undefined && key.admits(token)) return next();
    const words = 'This device has not been let in. Open the link, or scan the code, that bin/start prints.';
    throw new HttpError(401, 'no-entry', words);
  };
}

/** The link with the key: leaves a cookie that lets the browser in from then on. */
export function entryRoutes(key: Key): Router {
  const router = Router();
  const query = z.object({ key: z.string().max(200) });
  router.use(
    rateLimit({
      windowMs: 60_000,
      limit: MOST_TRIES,
      handler: () => {
        throw new HttpError(429, 'too-many', 'Too many tries. Wait a minute.');
      },
    }),
  );
  router.get('/', (request, response) => {
    if (!key.is(validated(query, { ...request.query }).key))
      throw new HttpError(
        401,
        'no-entry',
        'This link is not valid any more. Ask for the one that bin/start prints now.',
      );
    response.cookie(COOKIE, key.token, { httpOnly: true, sameSite: 'strict', maxAge: A_YEAR, secure: request.secure });
    response.redirect(303, '/');
  });
  return router;
}

/** The name a request asks under, without its port; null where it names none. */
function nameOf({ headers: { host } }: Request): string | null {
  if (host === undefined || !URL.canParse(`http://${host}`)) return null;
  return new URL(`http://${host}`).hostname.toLowerCase().replace(/^\[|\]$/g, '');
}

const LOOPBACK = new Set(['127.0.0.1', '::1', '::ffff:127.0.0.1']);
const HERE = new Set(['localhost', '127.0.0.1', '::1']);

/** From this machine to this machine, and not passed on by something in between. */
function isOnThisMachine(request: Request): boolean {
  const passedOn = ['forwarded', 'x-forwarded-for', 'x-real-ip', 'via'].some((name) =>
    Object.hasOwn(request.headers, name),
  );
  const name = nameOf(request);
  return !passedOn && name !== null && HERE.has(name) && LOOPBACK.has(request.socket.remoteAddress ?? '');
}
