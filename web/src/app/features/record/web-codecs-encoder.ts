import { PIECE_MS, VOICE_BITS, type StartEncoder, type TakeEncoder } from './encoder';

/** Makes sound with WebCodecs, for a browser that has no MediaRecorder; what makes the file is fetched when it is first used. */
export const webCodecsEncoder: StartEncoder = (stream, take, fail) => {
  const [track] = stream.getAudioTracks();
  let isPaused = false;
  const opened = open(track!, take, fail);
  opened.then(({ pause }) => isPaused && pause(), fail);
  const encoder: TakeEncoder = {
    mime: 'audio/webm;codecs=opus',
    pause: () => {
      isPaused = true;
      void opened.then(({ pause }) => pause()).catch(() => undefined); // fail has said so
    },
    resume: () => {
      isPaused = false;
      void opened.then(({ resume }) => resume()).catch(() => undefined); // fail has said so
    },
    stop: async () => (await opened).stop(),
  };
  return encoder;
};

async function open(track: MediaStreamAudioTrack, take: (bytes: ArrayBuffer) => void, fail: () => void) {
  const { MediaStreamAudioTrackSource, Output, StreamTarget, WebMOutputFormat } = await import('mediabunny');
  const writable = new WritableStream<{ readonly data: Uint8Array<ArrayBuffer> }>({ write: ({ data }) => take(data.slice().buffer) });
  const output = new Output({
    // Nothing that was written is changed afterwards: pieces can be sent as they come.
    format: new WebMOutputFormat({ appendOnly: true, minimumClusterDuration: PIECE_MS / 1000 }),
    target: new StreamTarget(writable),
  });
  const source = new MediaStreamAudioTrackSource(track, { codec: 'opus', bitrate: VOICE_BITS });
  source.errorPromise.catch(fail);
  output.addAudioTrack(source);
  await output.start();
  return { pause: () => source.pause(), resume: () => source.resume(), stop: () => output.finalize() };
}
