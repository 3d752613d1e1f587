import { OilcanError, type ErrorCode, type ErrorValues } from '@oilcan/core/kernel';
import { sentenceFor, statusFor } from '@oilcan/core/registry';
import { REQUEST_BYTES_LIMIT } from '@oilcan/core/sync';
import type { FastifyError, FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import plugin from 'fastify-plugin';
import { failureOf } from '../database/dialects';

/** RFC 9457 problem details, with the code of the catalogue. */
export interface Problem {
  readonly type: string;
  readonly title: string;
  readonly status: number;
  readonly code: ErrorCode;
  readonly values: ErrorValues;
  readonly field: string | null;
  /** The request number under which the server noted it. */
  readonly instance: string;
}

function problemOf(error: OilcanError, requestId: string): Problem {
  return {
    type: `urn:oilcan:problem:${error.code}`,
    title: sentenceFor(error.code, error.values),
    status: statusFor(error.code),
    code: error.code,
    values: error.values,
    field: error.field ?? null,
    instance: requestId,
  };
}

/** What a framework's or the database's own error means in our catalogue. */
export function translate(error: FastifyError | OilcanError): OilcanError {
  if (error instanceof OilcanError) return error;
  switch (error.code) {
    case 'FST_ERR_CTP_BODY_TOO_LARGE':
      return new OilcanError('body_too_large', { limitKilobytes: REQUEST_BYTES_LIMIT / 1024 });
    case 'FST_ERR_CTP_INVALID_MEDIA_TYPE':
      return new OilcanError('media_type_unsupported');
    case 'FST_ERR_CTP_INVALID_JSON_BODY':
    case 'FST_ERR_CTP_EMPTY_JSON_BODY':
    case 'FST_ERR_CTP_INVALID_CONTENT_LENGTH':
      return new OilcanError('malformed_json');
    case 'ENOENT':
      return new OilcanError('not_found', { what: 'file' });
    case 'ENOSPC':
      return new OilcanError('no_space');
    default:
      break;
  }
  const failure = failureOf(error);
  if (failure === 'full') return new OilcanError('no_space');
  if (failure === 'busy') return new OilcanError('busy', { seconds: 1 });
  if (failure === 'readOnly') return new OilcanError('not_ready', { seconds: 10 });
  if (error instanceof SyntaxError) return new OilcanError('malformed_json');
  if (error.statusCode === 429) return new OilcanError('too_many_requests', { seconds: 60 });
  if (error.statusCode !== undefined && error.statusCode < 500) return new OilcanError('invalid');
  return new OilcanError('unexpected');
}

async function problems(server: FastifyInstance): Promise<void> {
  server.setErrorHandler((error: FastifyError | OilcanError, request: FastifyRequest, reply: FastifyReply) => {
    const translated = translate(error);
    if (statusFor(translated.code) >= 500) request.log.error({ err: error }, 'request failed');
    return sendProblem(reply, translated, request.id);
  });
}

export function sendProblem(reply: FastifyReply, error: OilcanError, requestId: string): FastifyReply {
  const { seconds } = error.values;
  // RFC 9110, section 10.2.3.
  if (typeof seconds === 'number') reply.header('retry-after', String(seconds));
  return reply
    .code(statusFor(error.code))
    .header('content-type', 'application/problem+json; charset=utf-8')
    .header('cache-control', 'no-store')
    .send(JSON.stringify(problemOf(error, requestId)));
}

export const problemDetails = plugin(problems, { name: 'problems' });
