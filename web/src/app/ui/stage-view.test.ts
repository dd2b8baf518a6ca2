import { gearedPose } from '@zeitpunkt/core/dial/pose';
import { stageOfBuild, NEW_BUILD, setTime } from '@zeitpunkt/core/stage/dial-build';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { render } from '../testing/render';
import { StageView, type StagePlay } from './stage-view';

const at = (hour: number, minute: number) => stageOfBuild(setTime(secondOfDay(hour, minute))(NEW_BUILD));
const still = (hour: number, minute: number, change: Partial<StagePlay> = {}): StagePlay => {
  const stage = at(hour, minute);
  return { stateAt: () => stage, motionMs: 0, beganAtMs: 0, ...change };
};
let frames: (() => void)[];
beforeEach(() => {
  frames = [];
  jest.spyOn(Date, 'now').mockReturnValue(0);
  window.requestAnimationFrame = (work) => frames.push(() => work(0));
  window.cancelAnimationFrame = (id) => void (frames[id - 1] = () => undefined);
});
const later = (ms: number) => {
  jest.mocked(Date.now).mockReturnValue(ms);
  for (const frame of frames.splice(0, frames.length)) frame();
};
async function open(play: StagePlay) {
  const screen = await render(StageView, { play });
  const minuteDeg = () => Number(screen.page.querySelector('[data-role="minute-hand"]')!.getAttribute('data-deg'));
  return { ...screen, minuteDeg };
}

test('a sweep is drawn at each frame as the player says, and comes to rest', async () => {
  const sweep: StagePlay = {
    stateAt: (ms) => ({ ...at(4, 0), dial: { ...at(4, 0).dial!, pose: gearedPose(secondOfDay(4, Math.min(30, ms / 100))) } }),
    motionMs: 3000,
    beganAtMs: 0,
  };
  const { minuteDeg } = await open(sweep);
  expect(minuteDeg()).toBe(0);
  later(1000);
  expect(minuteDeg()).toBe(60);
  later(9000);
  expect(minuteDeg()).toBe(180);
  expect(frames).toHaveLength(0);
});

test('hands turned by somebody glide there from where they were seen', async () => {
  const { minuteDeg, setInputs } = await open(still(4, 0));
  await setInputs({ play: still(4, 10, { glides: true }) });
  expect(minuteDeg()).toBe(0);
  later(70);
  expect(minuteDeg()).toBe(30);
  later(200);
  expect(minuteDeg()).toBe(60);
  expect(frames).toHaveLength(0);
});

test('a new time far away is there at once', async () => {
  const { minuteDeg, setInputs } = await open(still(4, 0));
  await setInputs({ play: still(4, 40, { glides: true }) });
  expect(minuteDeg()).toBe(240);
});

test('with reduced motion nothing glides, and a sweep goes in steps of a second', async () => {
  const match = jest.spyOn(window, 'matchMedia').mockImplementation((media) => ({ media, matches: true }) as MediaQueryList);
  const { minuteDeg, setInputs } = await open(still(4, 0));
  await setInputs({ play: still(4, 10, { glides: true }) });
  expect(minuteDeg()).toBe(60);
  const seen: number[] = [];
  const stateAt = (ms: number) => (seen.push(ms), at(4, 0));
  await setInputs({ play: { stateAt, motionMs: 3000, beganAtMs: 0 } });
  later(1900);
  later(2100);
  expect(seen.filter((ms) => ms !== Infinity)).toEqual([0, 1000, 2000]);
  match.mockRestore();
});

test('what is seen is said in words, where it comes to rest', async () => {
  const { find } = await open(still(7, 30));
  expect(find.getByRole('img').getAttribute('aria-label')).toBe(
    'A clock dial. The short hour hand points between 7 and 8. The long minute hand points at 6. Display: 7 : 30.',
  );
});

test('while somebody turns a hand nothing is said, and what was come to is said then', async () => {
  const { find, setInputs } = await open(still(7, 30));
  const said = () => find.getByRole('img').getAttribute('aria-label');
  await setInputs({ play: still(7, 31), inHand: true });
  await setInputs({ play: still(7, 45) });
  expect(said()).toContain('Display: 7 : 30.');
  await setInputs({ inHand: false });
  expect(said()).toContain('Display: 7 : 45.');
});
