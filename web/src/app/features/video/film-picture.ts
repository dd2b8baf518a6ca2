import type { Inks } from '@zeitpunkt/core/scene/scene-node';
import { stageScene } from '@zeitpunkt/core/scene/stage-scene';
import { motionMs, stageAt } from '@zeitpunkt/core/stage/player';
import { type Film, cueAt, shotAt } from '@zeitpunkt/core/voice/film';
import type { Shot } from '@zeitpunkt/core/voice/shot';
import type { Cue } from '@zeitpunkt/core/voice/take';
import { linesOf } from '@zeitpunkt/core/voice/phrases';
import { drawOnCanvas } from '../../ui/canvas-outlet';
import { FILM_FONT } from './film-messages';
import { ApiProblem } from '../../shared/api';

/** Part of the picture's height that captions have under the stage. */
const CAPTION_PART = 0.15;
/** Height of a line of captions as a part of theirs, and of its letters. */
const LINE_PART = 0.44;
const LETTER_PART = 0.33;

/** Draws a film on a canvas, moment by moment; what has not changed since the last moment is not drawn again. */
export class FilmPicture {
  private drawn: { readonly shot: Shot; readonly cue: Cue | null } | null = null;
  private readonly pen: OffscreenCanvasRenderingContext2D;

  constructor(
    private readonly film: Film,
    private readonly canvas: OffscreenCanvas,
    private readonly inks: Inks,
    private readonly burnsIn: boolean,
  ) {
    const pen = canvas.getContext('2d', { alpha: false });
    if (!pen) throw new ApiProblem('PICTURE_NOT_MADE', 'This browser cannot draw a picture of this size.');
    this.pen = pen;
  }

  /** Draws the picture at a moment. */
  draw(atMs: number): void {
    const { film, drawn } = this;
    const shot = shotAt(film, atMs);
    const elapsedMs = atMs - shot.startMs;
    const cue = this.burnsIn ? cueAt(film.cues, atMs) : null;
    const moves = elapsedMs < motionMs(film.prepared, shot.step.ref);
    if (!moves && drawn?.shot === shot && drawn.cue === cue) return;
    // The last moment of a motion is drawn as one that stands still.
    this.drawn = moves ? null : { shot, cue };
    this.drawStage(shot, elapsedMs);
    if (cue) this.drawCue(cue);
  }

  private drawStage({ step }: Shot, elapsedMs: number): void {
    const { width, height } = this.canvas;
    const scene = stageScene(stageAt(this.film.prepared, step.ref, elapsedMs));
    const pen = this.pen;
    pen.setTransform(1, 0, 0, 1, 0, 0);
    pen.fillStyle = this.inks.paper;
    pen.fillRect(0, 0, width, height);
    const room = this.burnsIn ? height * (1 - CAPTION_PART) : height;
    const stageWidth = Math.min(width, (room * scene.width) / scene.height);
    drawOnCanvas(pen, scene, this.inks, stageWidth, null, {
      x: (width - stageWidth) / 2,
      y: (room - (stageWidth * scene.height) / scene.width) / 2,
    });
  }

  private drawCue({ text }: Cue): void {
    const { width, height } = this.canvas;
    const room = height * CAPTION_PART;
    const pen = this.pen;
    pen.setTransform(1, 0, 0, 1, 0, 0);
    pen.font = `400 ${Math.round(room * LETTER_PART)}px ${FILM_FONT}, sans-serif`;
    pen.textAlign = 'center';
    pen.textBaseline = 'middle';
    pen.fillStyle = this.inks.ink;
    const lines = linesOf(text);
    lines.forEach((line, index) => {
      const y = height - room / 2 + (index - (lines.length - 1) / 2) * room * LINE_PART;
      pen.fillText(line, width / 2, y, width * 0.96);
    });
  }
}
