import { mediaRecorderEncoder } from './media-recorder-encoder';
import type { StartEncoder } from './encoder';
import { webCodecsEncoder } from './web-codecs-encoder';

/** What this browser makes sound with; null where it can make none. */
export function encoderOfBrowser(): StartEncoder | null {
  if ('MediaRecorder' in window) return mediaRecorderEncoder;
  return 'AudioEncoder' in window ? webCodecsEncoder : null;
}
