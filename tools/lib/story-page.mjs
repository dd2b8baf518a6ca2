const percent = (part) => (100 * part).toFixed(1);
const TRUTHS = { held: 'holds it', 'let go': 'held it and let go of it', never: 'never held it' };

/** What the review said of the demo's pupils, beside what they were made with. */
export function storyPage(rows, { misconceptionOf }) {
  const isSaid = ({ sureness }) => sureness === 'settled' || sureness === 'likely';
  const held = rows.filter(({ truth }) => truth === 'held');
  const said = rows.filter(isSaid);
  const count = (truth) => said.filter((one) => one.truth === truth).length;
  return [
    '## What the review says of the demo’s class',
    '',
    `The Terns of the demo are simulated pupils who learn over eleven lessons (\`server/src/demo/story.ts\`): some keep an idea, some let go of one. After the last lesson ${held.length} ideas are held still; the class review found **${held.filter(isSaid).length} of ${held.length}**. It said ${said.length} in all: ${count('let go')} that were held and let go of in the last weeks, and **${count('never')}** that ${count('never') === 1 ? 'was' : 'were'} never there.`,
    '',
    '| pupil | idea | the pupil | lessons held | the review says it | shown by |',
    '| --- | --- | --- | --- | --- | --- |',
    ...rows.map(
      ({ name, idea, truth, lessons, sureness, hits, chances }) =>
        `| ${name} | ${misconceptionOf(idea).name} | ${TRUTHS[truth]} | ${lessons} of 11 | ${isSaid({ sureness }) ? sureness : 'not now'} | ${hits} of ${chances} |`,
    ),
    '',
    'What was let go of and not asked for since is said for some weeks more: the review shows for how long nothing was asked. The table of letting go above says how many answers it takes.',
  ];
}

/** How often the intervals of mastery hold the truth, and what the words mean. */
export function masteryPage({ learners, covered, coveredBy, words }, { INTERVAL }) {
  return [
    '## Whether the intervals of mastery can be believed',
    '',
    `${learners.toLocaleString('en')} simulated learners come to a rung knowing more or less of it, learn by different amounts, forget, and answer 2 to 6 questions a lesson, some of which can be guessed; none of this is how the model (\`core/src/insight/mastery-model.ts\`) thinks of them. The interval is stated to hold the true mastery for ${percent(INTERVAL)} of a hundred; it held it for **${percent(covered)}**.`,
    '',
    '| answers | learners | interval held the truth % | width of the interval |',
    '| --- | --- | --- | --- |',
    ...coveredBy.map((one) => `| ${one.answers} | ${one.learners} | ${percent(one.covered)} | ${one.width.toFixed(2)} |`),
    '',
    '| word | learners | true mastery, mean | lowest and highest tenth |',
    '| --- | --- | --- | --- |',
    ...words.map((one) => `| ${one.word} | ${one.learners} | ${one.mean.toFixed(2)} | ${one.from.toFixed(2)} to ${one.to.toFixed(2)} |`),
  ];
}
