import { CoreError } from '@zeitpunkt/core/errors';
import { ApiProblem, sentenceOf } from './api';
import { errorOf, toldOf } from './told-problem';

test('a problem comes out of a worker as it went in; a fault is written down there and told as such', () => {
  const problem = new ApiProblem('SOUND_NOT_FETCHED', 'The sound cannot be fetched (status 503).', 503, { status: 503 });
  expect(errorOf(structuredClone(toldOf(problem)))).toEqual(problem);
  const ofCore = errorOf(structuredClone(toldOf(new CoreError('LESSON_EMPTY', 'The lesson “Tides” has no beats.', { title: 'Tides' }))));
  expect(ofCore).toEqual(new ApiProblem('LESSON_EMPTY', 'The lesson “Tides” has no beats.', 0, { title: 'Tides' }));
  expect(sentenceOf(ofCore)).toBe('The lesson “Tides” has no beats.');

  const written = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  const fault = new TypeError('x is not a function');
  const told = errorOf(toldOf(fault));
  expect(told).not.toBeInstanceOf(ApiProblem);
  expect(sentenceOf(told)).toBe('Something went wrong on this page. Please load it again.');
  expect(written).toHaveBeenCalledWith(fault);
  written.mockRestore();
});
