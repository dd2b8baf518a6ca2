/** Every sentence that a pupil can be told, by kind of question and idea, with an example of each: to be read once by a person. */
export function feedbackPage(core) {
  const { QUESTION_KINDS, DEFAULT_SETTINGS } = core;
  const schools = [
    ['English', DEFAULT_SETTINGS],
    ['German', { ...DEFAULT_SETTINGS, pack: 'de', separator: '.' }],
  ];
  const parts = [
    '# What pupils are told',
    '',
    'Written by `npm run docs`: for each kind of question and each idea that makes a difference to it, what such a pupil answers to an example and is told.',
    'Where several ideas lead to the same answer, the sentence is the one that holds for all of them. Last in each table: another wrong answer, the right one, and not being sure.',
  ];
  for (const [language, settings] of schools) {
    parts.push('', `## ${language}`);
    for (const [id, { name }] of Object.entries(QUESTION_KINDS)) {
      parts.push('', `### ${name}`, '', '| idea | example | told |', '| --- | --- | --- |');
      for (const row of rowsOf(core, id, settings)) parts.push(`| ${row.map(cell).join(' | ')} |`);
    }
  }
  return `${parts.join('\n')}\n`;
}

/** The rows of a kind of question: idea, example, sentence. */
function rowsOf(core, id, settings) {
  const { QUESTION_KINDS, RUNGS, predictionsOf, markOf, kindOf, misconceptionOf, textOfResponse, seededRng, NOT_SURE } = core;
  const example = (stem, item, response) => `${stem} – ${textOfResponse(item, response, settings)}`;
  const rungs = Object.values(RUNGS).filter(({ kinds }) => kinds.includes(id));
  const made = rungs.flatMap((rung) =>
    Array.from({ length: 12 }, (_, seed) => QUESTION_KINDS[id].make('q', seededRng(seed * 31 + 5), rung, settings)),
  );
  const rows = new Map();
  for (const item of made) {
    const kind = kindOf(item);
    const stem = kind.viewOf(item, settings).stem;
    for (const [idea, [response]] of predictionsOf(item, settings)) {
      const { sayToPupil, misconceptions } = markOf(item, response, settings);
      const key = `${idea} ${misconceptions.length === 1}`;
      if (!rows.has(key))
        rows.set(key, [
          misconceptionOf(idea).name + (misconceptions.length > 1 ? ' (among others)' : ''),
          example(stem, item, response),
          sayToPupil,
        ]);
    }
  }
  const item = made[0] ?? QUESTION_KINDS[id].samples[0];
  const kind = kindOf(item);
  const stem = kind.viewOf(item, settings).stem;
  const others = [
    ['another answer', kind.slip(item, seededRng(3), settings)],
    ['right', kind.keyOf(item, settings)],
    ['not sure', NOT_SURE],
  ].map(([what, response]) => [what, example(stem, item, response), markOf(item, response, settings).sayToPupil]);
  return [...[...rows.values()].sort(([one], [other]) => one.localeCompare(other)), ...others];
}

const cell = (text) => text.replaceAll('|', '\\|').replaceAll('\n', ' ');
