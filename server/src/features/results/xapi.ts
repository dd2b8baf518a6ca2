import { isRightVerdict, kindOf, textOfResponse, writeResult, type ResultRow } from '@zeitpunkt/core';
import { stored } from '../../db/stored.js';
import { unreadable } from './columns.js';

// Names of ours within statements; the domain is one that can never exist.
const OURS = 'https://zeitpunkt.invalid';
const ROW = `${OURS}/xapi/result`;

/**
 * An answer as an xAPI statement: "pupil answered question", with result and context as every record store reads them, and all
 * the rest in an extension of our own. Source: Experience API 1.0.3, with interactions as in its part 2, section 4.1.4.1.
 */
export function statementOf(row: ResultRow): object {
  const { item, settings, response, mark, correction } = row;
  const kind = kindOf(item);
  const counting = correction?.mark ?? mark;
  const lesson = `${OURS}/lessons/${row.sessionId}`;
  return {
    id: row.responseId,
    actor: { objectType: 'Agent', name: row.pupil, account: { homePage: `${OURS}/pupils`, name: row.pupilId } },
    verb: { id: 'http://adlnet.gov/expapi/verbs/answered', display: { en: 'answered' } },
    object: {
      objectType: 'Activity',
      id: `${lesson}/questions/${row.askingId}`,
      definition: {
        type: 'http://adlnet.gov/expapi/activities/cmi.interaction',
        name: { en: `Question ${row.number}: ${kind.name}` },
        description: { en: kind.viewOf(item, settings).stem },
        interactionType: 'other',
        correctResponsesPattern: [textOfResponse(item, kind.keyOf(item, settings), settings)],
      },
    },
    result: {
      success: isRightVerdict(counting.verdict),
      response: textOfResponse(item, response, settings),
      duration: `PT${(row.responseTimeMs / 1000).toFixed(2)}S`,
    },
    context: {
      platform: 'Zeitpunkt',
      contextActivities: { parent: [{ objectType: 'Activity', id: lesson, definition: { name: { en: row.lesson } } }] },
      extensions: { [ROW]: writeResult(row) },
    },
    timestamp: new Date(row.receivedAtMs).toISOString(),
  };
}

/** Reads statements back that were written here. @throws CoreError RESULTS_UNREADABLE with the place, FORMAT_NEWER */
export function readStatements(text: string): ResultRow[] {
  let list: unknown;
  try {
    list = JSON.parse(text);
  } catch {
    throw unreadable('This file is no readable JSON.');
  }
  if (!Array.isArray(list) || list.length === 0) throw unreadable('There is no list of statements in this file.');
  return list.map((statement: unknown, index) => {
    const extensions = (statement as { readonly context?: { readonly extensions?: Record<string, unknown> } } | null)?.context?.extensions;
    const row = extensions?.[ROW];
    if (row === undefined) throw unreadable(`Statement ${index + 1} was not written by Zeitpunkt: it does not hold the whole answer.`);
    return stored.result(row, `statement ${index + 1}`);
  });
}
