import { linesOf } from './phrases.js';
import type { Cue } from './take.js';

// Source: WebVTT, the W3C's Web Video Text Tracks format.

/** Captions or chapters as a WebVTT file. */
export function webVtt(cues: readonly Cue[], language: string): string {
  const blocks = cues.map(({ fromMs, toMs, text }, index) => {
    const lines = linesOf(text.replace(/\s+/gu, ' ').trim()).map(escaped);
    return `${index + 1}\n${clockOf(fromMs)} --> ${clockOf(toMs)}\n${lines.join('\n')}\n`;
  });
  return `WEBVTT\nLanguage: ${language}\n\n${blocks.join('\n')}`;
}

/** An arrow would end the words, and marks would be read as tags. */
const escaped = (text: string) => text.replace(/&/gu, '&amp;').replace(/</gu, '&lt;').replace(/>/gu, '&gt;');

/** "00:12:03.040". */
function clockOf(ms: number): string {
  const whole = Math.max(0, Math.round(ms));
  const two = (value: number) => String(value).padStart(2, '0');
  const seconds = Math.floor(whole / 1000);
  const parts = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60].map(two);
  return `${parts.join(':')}.${String(whole % 1000).padStart(3, '0')}`;
}
