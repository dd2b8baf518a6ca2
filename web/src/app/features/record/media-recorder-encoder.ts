import { PIECE_MS, VOICE_BITS, type StartEncoder } from './encoder';

const MIMES = ['audio/webm;codecs=opus', 'audio/mp4', 'audio/ogg;codecs=opus'];

/** Makes sound with MediaRecorder, which all but the oldest browsers have. */
export const mediaRecorderEncoder: StartEncoder = (stream, take, fail) => {
  const mimeType = MIMES.find((mime) => MediaRecorder.isTypeSupported(mime));
  const recorder = new MediaRecorder(stream, { audioBitsPerSecond: VOICE_BITS, ...(mimeType && { mimeType }) });
  // Pieces are read one after the other: their order is that of the file.
  let reading = Promise.resolve();
  recorder.ondataavailable = ({ data }) => {
    if (data.size > 0) reading = reading.then(async () => take(await data.arrayBuffer()));
  };
  recorder.onerror = fail;
  const stopped = new Promise<void>((resolve) => (recorder.onstop = () => resolve()));
  recorder.start(PIECE_MS);
  return {
    mime: mimeType ?? recorder.mimeType,
    pause: () => recorder.pause(),
    resume: () => recorder.resume(),
    async stop() {
      if (recorder.state !== 'inactive') recorder.stop();
      await stopped;
      await reading;
    },
  };
};
