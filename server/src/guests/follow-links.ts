import { createHmac, timingSafeEqual } from 'node:crypto';
import { asId, type ReportId } from '@oilcan/core/kernel';
import type { Knex } from 'knex';

const ID_FORM = /^[A-Za-z0-9-]{1,64}$/;

/**
 * Private links under which reporters without an account follow what became of their report. A link is the report's id with a
 * signature by this server's secret (HMAC with SHA-256), so none of them is kept and none can be made by anybody else.
 */
export class FollowLinks {
  readonly #secret: Buffer;

  constructor(secret: Buffer) {
    this.#secret = secret;
  }

  static async of(database: Knex): Promise<FollowLinks> {
    const stored: { secret: string } | undefined = await database('guest_secret').first('secret');
    if (stored === undefined) throw new Error('The secret of private links is missing.');
    return new FollowLinks(Buffer.from(stored.secret, 'hex'));
  }

  /** What stands at the end of the link of a report. */
  tokenOf(id: ReportId): string {
    return `${id}.${this.#sign(id)}`;
  }

  /** The report that a link leads to; null for one that was not made here. */
  reportOf(token: string): ReportId | null {
    const [id = '', signature = '', more] = token.split('.');
    if (more !== undefined || !ID_FORM.test(id)) return null;
    const [given, wanted] = [Buffer.from(signature), Buffer.from(this.#sign(id))];
    return given.length === wanted.length && timingSafeEqual(given, wanted) ? asId<ReportId>(id) : null;
  }

  #sign(id: string): string {
    return createHmac('sha256', this.#secret).update(id).digest('base64url');
  }
}
