/** A hidden window gets no frames; its timers still come about once a second. */
const HIDDEN_STEP_MS = 1000;

/**
 * Calls back at the next frame, or after a second where no frame comes because the window is minimised or covered: what
 * another window shows goes on all the same, in steps. Returns how to call it off.
 */
export function nextFrame(work: () => void): () => void {
  const callOff = () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  };
  const once = () => {
    callOff();
    work();
  };
  const frame = requestAnimationFrame(once);
  const timer = window.setTimeout(once, HIDDEN_STEP_MS);
  return callOff;
}
