/** A hidden window gets no frames; its timers still come about once a second. */
const HIDDEN_STEP_MS = 1000;

/** Calls the work when something happens elsewhere; returns how to call it off. */
export type Elsewhere = (work: () => void) => () => void;

/**
 * Calls back at the next frame. Where none comes because the window is minimised or covered, at the next frame of
 * another window that shows the same, and after a second at the latest: what is shown goes on all the same. Returns how
 * to call it off.
 */
export function nextFrame(work: () => void, elsewhere: Elsewhere = () => () => undefined): () => void {
  const callOff = () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
    notThere();
  };
  const once = () => {
    callOff();
    work();
  };
  const frame = requestAnimationFrame(once);
  const timer = window.setTimeout(once, HIDDEN_STEP_MS);
  const notThere = elsewhere(once);
  return callOff;
}
