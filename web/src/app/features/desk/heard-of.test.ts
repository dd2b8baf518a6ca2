import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { kindOf, QUESTION_KIND_IDS, QUESTION_KINDS, type Item } from '@zeitpunkt/core/question-kinds/registry';
import { questionView } from '../../testing/desk';
import { heardOf } from './heard-of';

const asked = (item: Item) => questionView({ view: kindOf(item).viewOf(item, DEFAULT_SETTINGS) });

test('all that can be read of a question is heard: its words, choices, cards and tiles; no sign and no sentence that ends twice', () => {
  for (const kind of QUESTION_KIND_IDS) {
    const [item] = QUESTION_KINDS[kind].samples as readonly Item[];
    const question = asked(item!);
    const heard = heardOf(question, '');
    expect(heard).toContain(question.view.stem.replace(/[.?!]$/, ''));
    expect(heard).not.toMatch(/[✓▲▼_]|\.\./);
    const { view } = question;
    for (const one of [...('choices' in view ? view.choices : []), ...('cards' in view ? view.cards : [])])
      if ('text' in one) expect(heard).toContain(one.text.replace(/\.$/, ''));
    if ('tiles' in view) for (const tile of view.tiles) expect(heard).toContain(tile);
  }
});
