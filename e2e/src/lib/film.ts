import type { Page } from '@playwright/test';
import { readFileSync } from 'node:fs';

/** A film as a browser opens it. */
export interface OpenedFilm {
  readonly durationMs: number;
  readonly width: number;
  readonly height: number;
  /** Where the tip of the minute hand points at each moment asked for, in degrees; the dial stands alone. Null where none is seen. */
  readonly minuteDeg: readonly (number | null)[];
  /** How loud it is in each stretch asked for, in dB. */
  readonly db: readonly number[];
}

/** What is looked for in a film. */
export interface FilmQuestions {
  readonly momentsMs: readonly number[];
  readonly stretchesMs: readonly (readonly [from: number, to: number])[];
  /** Part of the height that the stage has: the dial is in its middle. */
  readonly stagePart: number;
}

/** Opens a film in a page and looks at its pictures and its sound. */
export async function openFilm(page: Page, file: string, mime: string, asked: FilmQuestions): Promise<OpenedFilm> {
  const base64 = readFileSync(file).toString('base64');
  return page.evaluate(
    async ({ base64, mime, momentsMs, stretchesMs, stagePart }) => {
      const bytes = Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0));
      const video = document.createElement('video');
      video.muted = true;
      video.src = URL.createObjectURL(new Blob([bytes], { type: mime }));
      const heard = (name: string) => new Promise((resolve) => video.addEventListener(name, resolve, { once: true }));
      document.body.append(video);
      await heard('loadeddata');
      const { videoWidth: width, videoHeight: height } = video;
      const canvas = new OffscreenCanvas(width, height);
      const pen = canvas.getContext('2d', { willReadFrequently: true })!;
      const ink = getComputedStyle(document.documentElement).getPropertyValue('--minute').trim();
      pen.fillStyle = ink;
      pen.fillRect(0, 0, 1, 1);
      const [red, green, blue] = pen.getImageData(0, 0, 1, 1).data as unknown as [number, number, number];
      const minuteDeg: (number | null)[] = [];
      for (const atMs of momentsMs) {
        // The frame of this moment is on the screen: that a place was sought is told before.
        const shown = new Promise<void>((resolve) => {
          const look = (_now: number, { mediaTime }: { readonly mediaTime: number }) => {
            if (Math.abs(mediaTime - atMs / 1000) < 0.1) resolve();
            else video.requestVideoFrameCallback(look);
          };
          video.requestVideoFrameCallback(look);
        });
        video.currentTime = atMs / 1000;
        await shown;
        pen.drawImage(video, 0, 0);
        const { data } = pen.getImageData(0, 0, width, height);
        const [cx, cy] = [width / 2, (height * stagePart) / 2];
        // Within the face: the minute numbers around it have the same ink.
        const reach = height * stagePart * 0.36;
        let best: { r: number; deg: number } | null = null;
        for (let y = Math.round(cy - reach); y < cy + reach; y++) {
          for (let x = Math.round(cx - reach); x < cx + reach; x++) {
            const place = 4 * (y * width + x);
            const off = Math.abs(data[place]! - red) + Math.abs(data[place + 1]! - green) + Math.abs(data[place + 2]! - blue);
            const r = Math.hypot(x - cx, y - cy);
            if (off > 60 || r > reach || (best && r <= best.r)) continue;
            best = { r, deg: ((Math.atan2(x - cx, cy - y) * 180) / Math.PI + 360) % 360 };
          }
        }
        minuteDeg.push(best && best.r > reach * 0.5 ? best.deg : null);
      }
      video.remove();
      const sound = await new OfflineAudioContext(1, 1, 16_000).decodeAudioData(bytes.buffer);
      const samples = sound.getChannelData(0);
      const db = stretchesMs.map(([from, to]) => {
        const part = samples.subarray(Math.round(from * 16), Math.round(to * 16));
        const power = part.reduce((sum, value) => sum + value * value, 0) / Math.max(1, part.length);
        return power > 0 ? 10 * Math.log10(power) : -100;
      });
      return { durationMs: video.duration * 1000, width, height, minuteDeg, db };
    },
    { base64, mime, ...asked },
  );
}
