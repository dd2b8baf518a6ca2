import { drawOnCanvas } from '../../../web/src/app/ui/canvas-outlet';
import { inksOf } from '../../../web/src/app/ui/inks';
import { SvgOutlet } from '../../../web/src/app/ui/svg-outlet';
import { sixtyScenes } from './sixty-scenes.js';

// Runs in the page: draws a scene through one outlet or the other, at the same size in the same place.
declare global {
  interface Window {
    drawWith: (outlet: 'svg' | 'canvas', index: number) => { width: number; height: number };
  }
}

const HEIGHT = 450;
const scenes = sixtyScenes();
document.body.replaceChildren();

window.drawWith = (outlet, index) => {
  const scene = scenes[index]!;
  const width = Math.round((HEIGHT * scene.width) / scene.height);
  const box = document.createElement('div');
  Object.assign(box.style, { width: `${width}px`, height: `${HEIGHT}px`, background: 'var(--paper)' });
  document.body.replaceChildren(box);
  if (outlet === 'svg') {
    const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
    svg.setAttribute('class', 'scene');
    box.append(svg);
    new SvgOutlet(svg).draw(scene);
  } else {
    const canvas = document.createElement('canvas');
    Object.assign(canvas, { width, height: HEIGHT });
    canvas.style.display = 'block';
    box.append(canvas);
    drawOnCanvas(canvas.getContext('2d')!, scene, inksOf(document.documentElement), width, 'paper');
  }
  return { width, height: HEIGHT };
};
