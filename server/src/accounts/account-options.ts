import type { Knex } from 'knex';
import type { Clock } from '../clock';
import type { ServerConfig } from '../config';
import type { ChangeEvents } from '../events/change-events';
import type { WrongPasswords } from './wrong-passwords';

/** What the routes of accounts work with. */
export interface AccountOptions {
  readonly database: Knex;
  readonly clock: Clock;
  readonly config: ServerConfig;
  readonly events: ChangeEvents;
  /** Counted together wherever a password is asked for. */
  readonly wrongPasswords: WrongPasswords;
}
