import type { Ink, Inks, Scene, SceneNode } from '@zeitpunkt/core/scene/scene-node';
import { DIGIT_MIDDLE } from '@zeitpunkt/core/scene/svg-geometry';

/** Everything that drawing needs of a canvas; a worker's canvas has it too. */
export type CanvasPen = CanvasState &
  CanvasTransform &
  CanvasCompositing &
  CanvasFillStrokeStyles &
  CanvasRect &
  CanvasDrawPath &
  CanvasText &
  CanvasPathDrawingStyles &
  CanvasTextDrawingStyles;

/**
 * Draws a scene on a canvas as it stands, as the SVG outlet does in its own way.
 * @param width width of the picture in pixels; its height follows from the scene
 * @param background fills the picture first; null leaves what is there
 * @param at where the picture begins, in pixels
 */
export function drawOnCanvas(
  pen: CanvasPen,
  scene: Scene,
  inks: Inks,
  width: number,
  background: Ink | null,
  at: { readonly x: number; readonly y: number } = { x: 0, y: 0 },
): void {
  const scale = width / scene.width;
  pen.setTransform(scale, 0, 0, scale, at.x, at.y);
  if (background && background !== 'none') {
    pen.fillStyle = inks[background];
    pen.fillRect(0, 0, scene.width, scene.height);
  }
  pen.lineJoin = 'round';
  pen.lineCap = 'round';
  for (const node of scene.nodes) draw(pen, node, inks);
}

function draw(pen: CanvasPen, node: SceneNode, inks: Inks): void {
  pen.save();
  switch (node.type) {
    case 'group':
      pen.translate(node.x, node.y);
      pen.rotate((node.turnDeg * Math.PI) / 180);
      pen.scale(node.scale, node.scale);
      for (const child of node.nodes) draw(pen, child, inks);
      break;
    case 'circle': {
      const circle = new Path2D();
      circle.arc(node.cx, node.cy, node.r, 0, 2 * Math.PI);
      paint(pen, circle, node, inks);
      break;
    }
    case 'path':
      paint(pen, new Path2D(node.d), node, inks);
      break;
    case 'text':
      pen.font = `${node.bold ? 700 : 400} ${node.size}px Andika, sans-serif`;
      pen.textAlign = node.anchor === 'middle' ? 'center' : node.anchor;
      pen.textBaseline = 'alphabetic';
      if (node.fill !== 'none') {
        pen.fillStyle = inks[node.fill];
        pen.fillText(node.text, node.x, node.y + node.size * DIGIT_MIDDLE);
      }
  }
  pen.restore();
}

function paint(pen: CanvasPen, path: Path2D, node: Extract<SceneNode, { type: 'circle' | 'path' }>, inks: Inks): void {
  pen.globalAlpha *= node.opacity ?? 1;
  if (node.fill !== 'none') {
    pen.fillStyle = inks[node.fill];
    pen.fill(path);
  }
  if (node.stroke && node.stroke !== 'none' && node.strokeWidth !== 0) {
    pen.strokeStyle = inks[node.stroke];
    pen.lineWidth = node.strokeWidth ?? 1;
    pen.stroke(path);
  }
}
