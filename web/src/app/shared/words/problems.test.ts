import { ApiProblem, sentenceOf, wordProblems } from '../api';
import { inWords } from './problems';

afterEach(() => wordProblems(() => null));

test('a problem is worded by its code and what it speaks of; the server’s sentence stands where there are no other words', () => {
  const taken = new ApiProblem('NAME_TAKEN', 'as the server says', 409, { name: 'Bo' });
  const bare = new ApiProblem('NAME_TAKEN', 'as the server says', 409);
  expect(sentenceOf(taken)).toBe('as the server says'); // the desk
  wordProblems(inWords);
  expect(sentenceOf(taken)).toBe('Bo is in this class already. Two pupils of one name could not tell their names apart.');
  expect(sentenceOf(bare)).toBe('as the server says');
  expect(sentenceOf(new ApiProblem('OWN_PACE_DAYS', 'The last day is over already.', 409))).toBe('The last day is over already.');
  expect(sentenceOf(new ApiProblem('LINE_LOST', 'not reached (status 502)', 502))).toBe('not reached (status 502)');
  expect(sentenceOf(new TypeError('x'))).toBe('Something went wrong on this page. Please load it again.');
});
