const PUPILS = 2000;
const QUESTIONS = 12;
const OFTEN = 10;

/** How well the diagnosis does on simulated pupils, its weak spots among it. */
export function diagnosisPage({ measureDiagnosis, MODEL, RUNGS, misconceptionOf }) {
  const { all, byRung, byIdea, bySkill, byCount, mistaken, bins } = measureDiagnosis({ pupils: PUPILS, questions: QUESTIONS, seed: 2024 });
  const percent = (part) => (100 * part).toFixed(1);
  // A share of nothing is no share.
  const row = (name, { recall, precision, calibrationError, held, said }) =>
    `| ${name} | ${held ? percent(recall) : '–'} | ${said ? percent(precision) : '–'} | ${calibrationError.toFixed(3)} | ${held} | ${said} |`;
  const taken = mistaken.filter(({ count }) => count >= OFTEN);
  const table = (title, rows) => [
    `| ${title} | recall % | precision % | calibration error | held | said |`,
    '| --- | --- | --- | --- | --- | --- |',
    ...rows,
  ];
  const sorted = (groups, nameOf) =>
    [...groups].sort(([, one], [, other]) => one.recall - other.recall).map(([key, measured]) => row(nameOf(key), measured));
  return `${[
    '# How well the diagnosis does',
    '',
    `Written by \`npm run docs\`: ${PUPILS.toLocaleString('en')} simulated pupils, each asked ${QUESTIONS} questions that were designed for the usual ideas of a rung. They answer the real kinds of questions by rules of their own (\`core/src/rehearsal/\`): none, one or two ideas, followed at 75 to 95 of a hundred chances, four skills, 0 to 15 of a hundred careless slips. What the model takes for granted stands in \`core/src/diagnosis/model.ts\` and has other numbers.`,
    '',
    `An idea counts as said to be held from a probability of ${MODEL.THRESHOLDS.likely.probability} on; only ideas with at least ${MODEL.LEAST_CHANCES} chances are counted. *Recall*: of the ideas that are held, how many are said to be. *Precision*: of those said to be held, how many are. *Calibration error*: how far probabilities are off the share that is held, in ten bins, weighted by how many fall in each. *Held* and *said* are how many ideas were held, and said to be.`,
    '',
    ...table('', [row('all', all)]),
    '',
    '## Where it is weak',
    '',
    'By idea, the hardest to find first:',
    '',
    ...table(
      'idea',
      sorted(byIdea, (id) => misconceptionOf(id).name),
    ),
    '',
    'By rung:',
    '',
    ...table(
      'rung',
      sorted(byRung, (id) => RUNGS[id].name),
    ),
    '',
    'By skill, the chance to know an answer where no idea is in the way: who guesses half of the time hides ideas among the guesses.',
    '',
    ...table('skill', sorted(bySkill, String)),
    '',
    'By how many ideas are held: of two, one may hide the other.',
    '',
    ...table(
      'ideas held',
      [...byCount].sort(([one], [other]) => one - other).map(([key, measured]) => row(String(key), measured)),
    ),
    '',
    ...(taken.length === 0
      ? [`No idea was missed ${OFTEN} times or more while one and the same other idea was said to be held.`]
      : [
          `Ideas that were missed while another one was said to be held, ${OFTEN} times or more:`,
          '',
          '| held | said | times |',
          '| --- | --- | --- |',
          ...taken.map(({ held, said, count }) => `| ${misconceptionOf(held).name} | ${misconceptionOf(said).name} | ${count} |`),
        ]),
    '',
    '## Whether probabilities can be believed',
    '',
    '| probabilities | how many | their mean | share that is held |',
    '| --- | --- | --- | --- |',
    ...bins.map(
      ({ count, mean, held }, bin) => `| ${bin / 10} to ${(bin + 1) / 10} | ${count} | ${mean.toFixed(2)} | ${held.toFixed(2)} |`,
    ),
    '',
    'Most probabilities lie near 0 or 1, which makes the error small; the bins between hold few, and there ideas are held somewhat more often than is said.',
  ].join('\n')}\n`;
}
