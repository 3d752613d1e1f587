import { instantFromMillis } from '@oilcan/core/kernel';
import { PROTOCOL } from '@oilcan/core/sync';
import type { FastifyInstance } from 'fastify';
import { dialectOf } from '../database/dialects';
import { answers, shape } from '../docs/json-schema';
import type { AccountOptions } from './account-options';
import { demoPeople } from './demo-people';
import { deviceRoutes } from './device-routes';
import { passwordRoutes } from './password-routes';
import { sessionRoutes } from './session-routes';
import { WrongPasswords } from './wrong-passwords';

const aboutShape = shape.object({
  product: shape.text,
  protocol: shape.whole,
  now: shape.moment,
  demo: shape.orNull(shape.object({ password: shape.text, people: shape.list({ type: 'object' }) })),
});

/** Signing in and out, passwords and devices, who I am, and what the sign-in page may know. */
export async function accountRoutes(
  server: FastifyInstance,
  given: Omit<AccountOptions, 'wrongPasswords'>,
): Promise<void> {
  const { database, clock, config } = given;
  const wrongPasswords = new WrongPasswords(
    { freeTries: config.freePasswordTries, triesPerAddress: config.wrongPasswordsPerAddress },
    (bounds) => dialectOf(database).counts(database, bounds),
  );

  server.get(
    '/about',
    { schema: { summary: 'What this server is, and the time it has', response: answers('What it is', aboutShape) } },
    async () => ({
      product: 'Oilcan',
      protocol: PROTOCOL.newest,
      now: instantFromMillis(clock()),
      demo: await demoPeople(database, config.demoPassword),
    }),
  );

  const options = { ...given, wrongPasswords };
  await sessionRoutes(server, options);
  deviceRoutes(server, options);
  passwordRoutes(server, options);
}
