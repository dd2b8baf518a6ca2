const PUPILS = 1200;
const QUESTIONS = 40;
/** After how many answers the whole is measured, each with fewer pupils. */
const AFTER = [12, 24, 40, 80];
const PUPILS_AFTER = 480;
const OFTEN = 10;

const percent = (part) => (100 * part).toFixed(1);
// A share of nothing is no share.
const row = (name, { recall, precision, calibrationError, held, said }) =>
  `| ${name} | ${held ? percent(recall) : '–'} | ${said ? percent(precision) : '–'} | ${calibrationError.toFixed(3)} | ${held} | ${said} |`;
const table = (title, rows) => [
  `| ${title} | recall % | precision % | calibration error | held | said |`,
  '| --- | --- | --- | --- | --- | --- |',
  ...rows,
];
const sorted = (groups, nameOf) =>
  [...groups].sort(([, one], [, other]) => one.recall - other.recall).map(([key, measured]) => row(nameOf(key), measured));

/** How well the diagnosis does on simulated pupils, its weak spots among it. */
export function diagnosisPage({ measureDiagnosis, measureLettingGo, MODEL, RUNGS, misconceptionOf }) {
  const measured = measureDiagnosis({ pupils: PUPILS, questions: QUESTIONS, seed: 2024 });
  const { all, bins } = measured;
  return `${[
    '# How well the diagnosis does',
    '',
    `Written by \`npm run docs\`: ${PUPILS.toLocaleString('en')} simulated pupils, each asked ${QUESTIONS} questions in sets of eight that were designed for the usual ideas of a rung, a set a lesson. They answer the real kinds of questions by rules of their own (\`core/src/rehearsal/\`): half hold no idea, a third one, the rest two, followed at 60 to 95 of a hundred chances and unevenly from kind to kind; seven in ten know full hours or halves by heart, a third hold their ideas in reading alone; 3 to 18 of a hundred answers are careless slips, and some pupils make another usual mistake each time. What the model takes for granted stands in \`core/src/diagnosis/model.ts\` and is not the same.`,
    '',
    `*Said* is *settled* or *likely*; only ideas with at least ${MODEL.LEAST_CHANCES} chances are counted. *Recall*: of the ideas that are held, how many are said to be. *Precision*: of those said to be held, how many are. *Calibration error*: how far probabilities are off the share that is held, in ten bins, weighted by how many fall in each. *Held* and *said* are how many ideas were held, and said to be.`,
    '',
    ...table('', [row('all', all)]),
    '',
    `After fewer and more answers, ${PUPILS_AFTER} pupils each:`,
    '',
    ...table(
      'answers',
      AFTER.map((questions) => row(String(questions), measureDiagnosis({ pupils: PUPILS_AFTER, questions, seed: 7 }).all)),
    ),
    '',
    'Of pupils who were said to hold an idea and then let go of it, how many are said to hold it still, by how many answers came since that could have shown it:',
    '',
    '| answers since | pupils | said still % |',
    '| --- | --- | --- |',
    ...measureLettingGo({ pupils: 360, seed: 5 }).map(
      ({ answers, pupils, said }) => `| ${answers} | ${pupils} | ${percent(said / pupils)} |`,
    ),
    '',
    ...weakSpots(measured, { RUNGS, misconceptionOf }),
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

/** By idea, rung, skill and number of ideas, and what is taken for what. */
function weakSpots({ byRung, byIdea, bySkill, byCount, mistaken }, { RUNGS, misconceptionOf }) {
  const taken = mistaken.filter(({ count }) => count >= OFTEN);
  return [
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
  ];
}
