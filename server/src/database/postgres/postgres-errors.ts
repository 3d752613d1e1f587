import { DatabaseProblem } from '../database-problem';
import type { Failure } from '../dialect';

/** The code of an error of PostgreSQL (www.postgresql.org/docs/15/errcodes-appendix.html), or of the line to it. */
function codeOf(error: unknown): string {
  return typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
}

/** There is no line to it, or it has just gone: the server is not there, starts, or stops. */
const noLine = ['ECONNREFUSED', 'ECONNRESET', 'ENOTFOUND', 'ETIMEDOUT', 'EPIPE', '57P01', '57P02', '57P03', '53300'];
/** Others write just now, or one of two that waited for each other gave way. */
const inTheWay = ['55P03', '40001', '40P01', '57014'];

/** An address without the password that may be in it. */
function placeOf(address: string): string {
  const url = URL.canParse(address) ? new URL(address) : null;
  return url === null ? 'PostgreSQL' : `${url.host}${url.pathname}`;
}

/** What an error means for whoever started the program; the error itself when it means nothing that a person could mend. */
export function problemWith(address: string, error: unknown): unknown {
  if (error instanceof DatabaseProblem) return error;
  const code = codeOf(error);
  const place = placeOf(address);
  if (hasNoLine(error))
    return new DatabaseProblem(`PostgreSQL at ${place} does not answer. Check that it runs, and the address.`);
  if (code === '28P01' || code === '28000')
    return new DatabaseProblem(
      `PostgreSQL at ${place} does not let this user in. Check name and password in DATABASE_URL.`,
    );
  if (code === '3D000')
    return new DatabaseProblem(
      `There is no database at ${place}. Create one: createdb --template=template0 --locale=C --encoding=UTF8.`,
    );
  if (code === '42501')
    return new DatabaseProblem(`At ${place} this user may not create tables. Make it the owner of the database.`);
  if (code === '53100')
    return new DatabaseProblem('There is no space left on the disk of PostgreSQL. Free some and start again.');
  return /^[0-9A-Z]{5}$/.test(code) ? new DatabaseProblem(`PostgreSQL at ${place} refused: ${code}.`) : error;
}

export function failureOf(error: unknown): Failure | null {
  const code = codeOf(error);
  if (hasNoLine(error) || inTheWay.includes(code)) return 'busy';
  if (code === '53100') return 'full';
  return code === '25006' ? 'readOnly' : null;
}

function hasNoLine(error: unknown): boolean {
  const code = codeOf(error);
  if (noLine.includes(code) || code.startsWith('08')) return true;
  return error instanceof Error && /Connection (terminated|ended)|not queryable/i.test(error.message);
}
