import { STATUS_CODES } from 'node:http';
import { CoreError, ERROR_CODES, type ErrorCode, type ErrorParams } from '@zeitpunkt/core/errors';
import type { FastifyError, FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import type { Socket } from 'node:net';
import { problemOfStore } from '../db/when-free.js';
import { whatIsWrong } from './what-is-wrong.js';

/** HTTP status of every error code; a missing code does not compile. */
export const STATUS_OF: Record<ErrorCode, number> = {
  TIME_HOUR_RANGE: 400,
  TIME_MINUTE_RANGE: 400,
  TIME_SECOND_RANGE: 400,
  LESSON_ITEM_UNKNOWN: 422,
  LESSON_BEAT_TWICE: 422,
  LESSON_ITEM_TWICE: 422,
  LESSON_BEAT_ORDER: 422,
  LESSON_MISTAKE_NONE: 422,
  LESSON_EMPTY: 422,
  LESSON_CHANGED: 409,
  LESSON_UNREADABLE: 422,
  DIAL_CHANGED: 409,
  PLAN_CHANGED: 409,
  DIAL_UNREADABLE: 422,
  PLAN_UNREADABLE: 422,
  ROOM_UNREADABLE: 422,
  RUN_UNREADABLE: 422,
  RESPONSE_UNREADABLE: 422,
  CLASS_UNREADABLE: 400,
  CLASS_HERE: 409,
  FILE_UNREADABLE: 400,
  RESULTS_UNREADABLE: 400,
  RESULTS_ELSEWHERE: 409,
  SHEET_UNREADABLE: 400,
  TAKE_UNREADABLE: 400,
  TAKE_UNKNOWN: 404,
  TAKE_ID_TAKEN: 409,
  TAKE_SOUND: 400,
  MARK_UNREADABLE: 422,
  STAGE_UNREADABLE: 422,
  FORMAT_NEWER: 422,
  ROOM_POSITION_RANGE: 400,
  ROOM_NOT_RUNNING: 409,
  QUESTION_NOT_OPEN: 409,
  QUESTION_ANSWERED: 409,
  QUESTION_UNKNOWN: 404,
  ITEM_NOT_MADE: 409,
  RESPONSE_SHAPE: 400,
  RESPONSE_ID_TAKEN: 409,
  JOIN_ID_TAKEN: 409,
  REQUEST_SHAPE: 400,
  REQUEST_TOO_LARGE: 413,
  REQUEST_SLOW: 408,
  REQUEST_MEDIA_TYPE: 415,
  REQUEST_ORIGIN: 403,
  REQUEST_RATE: 429,
  NOT_FOUND: 404,
  SIGN_IN_WRONG: 401,
  SECOND_FACTOR_NEEDED: 401,
  SECOND_FACTOR_WRONG: 401,
  PASSWORD_WRONG: 403,
  RESET_WRONG: 403,
  TEACHER_UNKNOWN: 404,
  CLASS_RUNNING: 409,
  ACCOUNT_IN_USE: 409,
  SIGN_IN_NEEDED: 401,
  SETUP_CODE_WRONG: 403,
  SETUP_DONE: 409,
  ROOM_KEY_UNKNOWN: 404,
  DOOR_CROWDED: 409,
  NAME_TAKEN: 409,
  PUPIL_UNKNOWN: 404,
  OWN_PACE_DAYS: 409,
  CARD_UNKNOWN: 404,
  CLASS_ID_TAKEN: 409,
  INVITATION_WRONG: 403,
  NOT_ALLOWED: 403,
  ROSTER_UNREADABLE: 422,
  SIGN_IN_NAME_TAKEN: 409,
  DESK_NOT_JOINED: 401,
  SESSION_ID_TAKEN: 409,
  SOCKET_MESSAGE: 400,
  START_PORT_IN_USE: 500,
  START_DATA_DIR: 500,
  START_DATABASE_NEWER: 500,
  START_OPTION: 500,
  START_DATA_IN_USE: 500,
  START_DATABASE_DAMAGED: 500,
  START_DATABASE_FOREIGN: 500,
  STORE_BUSY: 503,
  STORE_FULL: 507,
  BACKUP_NONE: 500,
  BACKUP_NOWHERE: 409,
  BACKUP_NO_ROOM: 507,
  BACKUP_MISSING: 500,
  BACKUP_HERE: 500,
  BACKUP_SEALED: 500,
  BACKUP_DAMAGED: 500,
  BACKUP_FOREIGN: 500,
  BACKUP_NEWER: 500,
  START_RESTORE_CUT: 500,
  FULL: 409,
  INTERNAL: 500,
};

/** Sends a problem as RFC 9457 JSON. */
function sendProblem(reply: FastifyReply, code: ErrorCode, detail: string, params: ErrorParams = {}): FastifyReply {
  const status = STATUS_OF[code];
  return reply
    .code(status)
    .type('application/problem+json')
    .send(
      JSON.stringify({
        type: `urn:zeitpunkt:problem:${code}`,
        title: ERROR_CODES[code],
        status,
        code,
        detail,
        number: reply.request.id,
        ...(Object.keys(params).length > 0 && { params }),
      }),
    );
}

/** Answers what goes wrong before a route is found: a malformed address. */
export function answerFrameworkError(error: FastifyError, _request: unknown, reply: FastifyReply): void {
  const { code, detail } = problemOf(error, undefined);
  void sendProblem(reply, code, detail);
}

/** Answers what never became a request: it came too slowly, or is no HTTP. */
export function answerBrokenRequest(error: Error & { readonly code?: string }, socket: Socket): void {
  if (!socket.writable) return void socket.destroy();
  const isSlow = error.code === 'ERR_HTTP_REQUEST_TIMEOUT';
  const code = isSlow ? 'REQUEST_SLOW' : 'REQUEST_SHAPE';
  const detail = isSlow ? 'The request did not arrive whole in time, so it was cut off.' : 'The request is not readable HTTP.';
  const status = STATUS_OF[code];
  const body = JSON.stringify({ type: `urn:zeitpunkt:problem:${code}`, title: ERROR_CODES[code], status, code, detail });
  const head = [
    `HTTP/1.1 ${status} ${STATUS_CODES[status]}`,
    'content-type: application/problem+json',
    `content-length: ${Buffer.byteLength(body)}`,
    'connection: close',
  ];
  socket.end(`${head.join('\r\n')}\r\n\r\n${body}`);
}

/** Every error leaves the server as a problem with one plain sentence; what is not foreseen is logged and kept inside. */
export function installProblems(app: FastifyInstance): void {
  app.setErrorHandler((failure: FastifyError | CoreError, request, reply) => {
    const error = problemOfStore(failure) as FastifyError | CoreError;
    const { code, detail } = problemOf(error, request.routeOptions.bodyLimit);
    logProblem(request, code, failure);
    if (code === 'STORE_BUSY') void reply.header('retry-after', '1');
    return sendProblem(reply, code, detail, error instanceof CoreError ? error.params : {});
  });
}

/** One line for each problem, found by its number: the code and the route, never what was sent. Only a fault of ours says where it happened. */
function logProblem(request: FastifyRequest, code: ErrorCode, failure: Error): void {
  const said = { code, status: STATUS_OF[code], route: request.routeOptions.url };
  if (said.status >= 500) request.log.error({ ...said, err: failure }, 'request failed');
  else request.log.info(said, 'problem');
}

/** Whatever no route takes is answered with a problem, too. */
export function answerNotFound(app: FastifyInstance): void {
  app.setNotFoundHandler((request, reply) => sendProblem(reply, 'NOT_FOUND', `There is nothing at ${request.url.split('?')[0]}.`));
}

function problemOf(error: FastifyError | CoreError, bodyLimit: number | undefined): { code: ErrorCode; detail: string } {
  if (error instanceof CoreError) return { code: error.code, detail: error.message };
  if (error.validation) {
    return { code: 'REQUEST_SHAPE', detail: whatIsWrong(`The request’s ${error.validationContext ?? 'body'}`, error.validation) };
  }
  switch (error.code) {
    case 'FST_ERR_CTP_BODY_TOO_LARGE':
      return {
        code: 'REQUEST_TOO_LARGE',
        detail: `The request is too large: at most ${Math.floor((bodyLimit ?? 0) / 1024)} kB are taken here.`,
      };
    case 'FST_ERR_CTP_INVALID_MEDIA_TYPE':
      return { code: 'REQUEST_MEDIA_TYPE', detail: 'The request’s body must be JSON with the content type application/json.' };
    case 'FST_ERR_CTP_EMPTY_JSON_BODY':
    case 'FST_ERR_CTP_INVALID_JSON_BODY':
      return { code: 'REQUEST_SHAPE', detail: 'The request’s body is not readable JSON.' };
    case 'FST_ERR_MAX_PARAM_LENGTH':
      return { code: 'NOT_FOUND', detail: 'There is nothing under so long a name.' };
    case 'FST_ERR_BAD_URL':
      return { code: 'REQUEST_SHAPE', detail: 'The address of the request is not written as addresses are.' };
    case 'FST_CP_ERR_INVALID_CONTENT':
      return { code: 'REQUEST_SHAPE', detail: 'The request’s body cannot be unpacked in the content encoding that it names.' };
    case 'FST_CP_ERR_INVALID_CONTENT_ENCODING':
      return { code: 'REQUEST_MEDIA_TYPE', detail: 'The request’s body has a content encoding that is not taken here.' };
  }
  if (error.statusCode === 429) return { code: 'REQUEST_RATE', detail: 'Too many tries from here. Please wait a minute and try again.' };
  return {
    code: 'INTERNAL',
    detail: 'Something went wrong on our side; the server’s log has the details. Nothing was lost: please try again.',
  };
}
