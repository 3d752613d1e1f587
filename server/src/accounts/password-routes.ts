import { OilcanError } from '@oilcan/core/kernel';
import type { FastifyInstance } from 'fastify';
import * as yup from 'yup';
import { withdrawLink } from '../calendar/links';
import { answersNothing } from '../docs/json-schema';
import type { AccountOptions } from './account-options';
import { passwordOf, putPassword } from './accounts';
import { isPasswordRight } from './passwords';
import { secretField } from './secret-field';
import { endOtherSessions } from './sessions';

/** NIST SP 800-63B, section 5.1.1.1. */
const SHORTEST_SECRET = 8;

const changePasswordSchema = yup
  .object({
    present: secretField('Give your present password.'),
    next: secretField('Give a new password.').min(SHORTEST_SECRET, `Choose at least ${SHORTEST_SECRET} characters.`),
  })
  .noUnknown()
  .required();

/** Changing one's own password. */
export function passwordRoutes(server: FastifyInstance, { database, events, wrongPasswords }: AccountOptions): void {
  server.put<{ Body: yup.InferType<typeof changePasswordSchema> }>(
    '/password',
    {
      schema: {
        summary: 'Change my password; all my other devices are signed out, and my calendar link is withdrawn',
        response: answersNothing('It is changed'),
        body: changePasswordSchema,
      },
    },
    async (request, reply) => {
      const { person, session } = await server.sessionOf(request);
      const { present, next } = request.body;
      await wrongPasswords.begin(request.ip, person.id);
      if (!(await isPasswordRight(await passwordOf(database, person.id), present))) {
        throw new OilcanError('wrong_password', {}, 'present');
      }
      await wrongPasswords.right(request.ip, person.id);
      await putPassword(database, person.id, next);
      events.endSessions(await endOtherSessions(database, person.id, session));
      await withdrawLink(database, person.id);
      return reply.code(204).send();
    },
  );
}
