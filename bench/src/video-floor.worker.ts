import {
  AudioSample,
  AudioSampleSource,
  BufferTarget,
  CanvasSource,
  Mp4OutputFormat,
  Output,
  WebMOutputFormat,
  type AudioCodec,
  type VideoCodec,
} from 'mediabunny';

// The bare floor of a video: a plain dial of 90 lines, a display and a caption are drawn for each frame, with a tone beside them.
const [WIDTH, HEIGHT, RATE, FRAMES_A_SECOND] = [1280, 720, 48_000, 30];

export interface FloorWish {
  readonly container: 'mp4' | 'webm';
  readonly video: VideoCodec;
  readonly audio: AudioCodec;
  readonly seconds: number;
}

addEventListener('message', ({ data }: MessageEvent<FloorWish>) => {
  void make(data).then((tookMs) => postMessage(tookMs));
});

async function make({ container, video, audio, seconds }: FloorWish): Promise<number> {
  const began = performance.now();
  const canvas = new OffscreenCanvas(WIDTH, HEIGHT);
  const pen = canvas.getContext('2d', { alpha: false })!;
  const output = new Output({ format: container === 'mp4' ? new Mp4OutputFormat() : new WebMOutputFormat(), target: new BufferTarget() });
  const frames = new CanvasSource(canvas, { codec: video, bitrate: 900_000, keyFrameInterval: 4 });
  const voice = new AudioSampleSource({ codec: audio, bitrate: 64_000 });
  output.addVideoTrack(frames, { frameRate: FRAMES_A_SECOND });
  output.addAudioTrack(voice);
  await output.start();
  for (let second = 0; second < seconds; second++) {
    const tone = Float32Array.from({ length: RATE }, (_, index) => 0.2 * Math.sin(index / 40));
    const sample = new AudioSample({ data: tone, format: 'f32-planar', numberOfChannels: 1, sampleRate: RATE, timestamp: second });
    await voice.add(sample);
    sample.close();
    for (let frame = 0; frame < FRAMES_A_SECOND; frame++) {
      draw(pen, second + frame / FRAMES_A_SECOND);
      await frames.add(second + frame / FRAMES_A_SECOND, 1 / FRAMES_A_SECOND);
    }
  }
  await output.finalize();
  return performance.now() - began;
}

function draw(pen: OffscreenCanvasRenderingContext2D, atSec: number): void {
  pen.fillStyle = '#f7f2e8';
  pen.fillRect(0, 0, WIDTH, HEIGHT);
  pen.strokeStyle = pen.fillStyle = '#1d2433';
  const line = (deg: number, from: number, to: number, width: number) => {
    const turn = (deg * Math.PI) / 180;
    pen.lineWidth = width;
    pen.beginPath();
    pen.moveTo(420 + from * Math.sin(turn), 320 - from * Math.cos(turn));
    pen.lineTo(420 + to * Math.sin(turn), 320 - to * Math.cos(turn));
    pen.stroke();
  };
  for (let tick = 0; tick < 60; tick++) line(tick * 6, tick % 5 === 0 ? 245 : 255, 270, 3);
  pen.font = '700 40px Andika, sans-serif';
  pen.textAlign = 'center';
  for (let hour = 1; hour <= 12; hour++) {
    const turn = (hour * Math.PI) / 6;
    pen.fillText(String(hour), 420 + 215 * Math.sin(turn), 335 - 215 * Math.cos(turn));
  }
  line(atSec * 18, -20, 230, 10);
  line(atSec * 1.5, -20, 150, 18);
  pen.font = '700 90px Andika, sans-serif';
  pen.fillText(`7:${String(Math.floor(atSec * 3) % 60).padStart(2, '0')}`, 950, 300);
  pen.font = '400 36px Andika, sans-serif';
  pen.fillText('The long hand goes round, and the short hand moves along.', WIDTH / 2, 680);
}
