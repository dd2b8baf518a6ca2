import { writeDialBuild } from '@zeitpunkt/core/formats/stored';
import { stageScene } from '@zeitpunkt/core/scene/stage-scene';
import type { StageState } from '@zeitpunkt/core/scene/stage-state';
import type { DialBuild } from '@zeitpunkt/core/stage/dial-build';
import { svgFile } from '@zeitpunkt/core/scene/svg-file';
import { download, fileName } from '../../shared/download';
import { drawOnCanvas } from '../../ui/canvas-outlet';
import { inksOf } from '../../ui/inks';
import { ApiProblem } from '../../shared/api';

/** Gives the build of a dial out as a dial file. */
export function exportFile(name: string, build: DialBuild): void {
  const file = { format: 'zeitpunkt-dial', name, dial: JSON.parse(writeDialBuild(build)) as object };
  download(new Blob([`${JSON.stringify(file, null, 2)}\n`], { type: 'application/json' }), fileName(name, 'dial', 'dial.json'));
}

/** Gives the stage out as an SVG file. */
export function exportSvg(stage: StageState, name: string, transparent: boolean): void {
  const text = svgFile(stageScene(stage), inksOf(document.documentElement), name, transparent ? null : 'paper');
  download(new Blob([text], { type: 'image/svg+xml' }), fileName(name, 'dial', 'svg'));
}

/**
 * Gives the stage out as a PNG file.
 * @param width in pixels, 160 to 7680
 * @throws ApiProblem PICTURE_NOT_MADE where the browser cannot make a picture of this size
 */
export async function exportPng(stage: StageState, name: string, width: number, transparent: boolean): Promise<void> {
  const scene = stageScene(stage);
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = Math.round((width * scene.height) / scene.width);
  await Promise.all([document.fonts.load('700 20px Andika'), document.fonts.load('400 20px Andika')]);
  const pen = canvas.getContext('2d');
  if (!pen) throw new ApiProblem('PICTURE_NOT_MADE', 'This browser cannot draw a picture of this size.');
  drawOnCanvas(pen, scene, inksOf(document.documentElement), width, transparent ? null : 'paper');
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/png'));
  if (!blob) throw new ApiProblem('PICTURE_NOT_MADE', 'This browser cannot make a picture of this size.');
  download(blob, fileName(name, 'dial', 'png'));
}
