import { writeResult } from '@zeitpunkt/core/formats/stored';
import type { ResultRow } from '@zeitpunkt/core/insight/result-row';
import { kindOf, textOfResponse } from '@zeitpunkt/core/question-kinds/registry';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import { stored } from '../../db/stored.js';
import { setImmediate } from 'node:timers/promises';
import { AT_ONCE, unreadable } from './columns.js';

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
export async function readStatements(text: string): Promise<ResultRow[]> {
  const list = await statementsIn(text);
  if (!Array.isArray(list) || list.length === 0) throw unreadable('There is no list of statements in this file.');
  const rows: ResultRow[] = [];
  for (const statement of list as readonly unknown[]) {
    const extensions = (statement as { readonly context?: { readonly extensions?: Record<string, unknown> } } | null)?.context?.extensions;
    const row = extensions?.[ROW];
    const place = rows.length + 1;
    if (row === undefined) throw unreadable(`Statement ${place} was not written by Zeitpunkt: it does not hold the whole answer.`);
    rows.push(stored.result(row, `statement ${place}`));
    if (place % AT_ONCE === 0) await setImmediate();
  }
  return rows;
}

/** We write a statement a line: read so, other work goes on between them. Whoever laid the file out otherwise is read at once. */
async function statementsIn(text: string): Promise<unknown> {
  const lines = text.trim().split(/,?\r?\n/);
  if (lines[0] === '[' && lines.at(-1) === ']') {
    const list: unknown[] = [];
    for (const line of lines.slice(1, -1)) {
      const read = parsed(line);
      if (read === undefined) break;
      list.push(read);
      if (list.length % AT_ONCE === 0) await setImmediate();
    }
    if (list.length === lines.length - 2) return list;
  }
  const whole = parsed(text);
  if (whole === undefined) throw unreadable('This file is no readable JSON.');
  return whole;
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return undefined;
  }
}
