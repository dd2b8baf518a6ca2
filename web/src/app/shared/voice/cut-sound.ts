import type { Span } from '@zeitpunkt/core/voice/take';
import {
  ALL_FORMATS,
  BlobSource,
  BufferTarget,
  EncodedAudioPacketSource,
  EncodedPacketSink,
  Input,
  Mp4OutputFormat,
  Output,
  WebMOutputFormat,
} from 'mediabunny';
import { ApiProblem } from '../api';

/**
 * Cuts a piece out of a recorded file, without encoding it anew: whole packets of about 20 ms are kept. The new file knows how
 * long it is and where its parts lie, which a file that was recorded does not.
 */
export async function cutSound(file: Blob, { fromMs, toMs }: Span): Promise<{ readonly sound: ArrayBuffer; readonly mime: string }> {
  const input = new Input({ source: new BlobSource(file), formats: ALL_FORMATS });
  const track = await input.getPrimaryAudioTrack();
  const codec = track && (await track.getCodec());
  const config = track && (await track.getDecoderConfig());
  if (!track || !codec || !config) throw new ApiProblem('SOUND_NOT_READ', 'The recorded file holds no sound that can be cut.');
  const target = new BufferTarget();
  const format = codec === 'opus' ? new WebMOutputFormat() : new Mp4OutputFormat();
  const output = new Output({ format, target });
  const source = new EncodedAudioPacketSource(codec);
  output.addAudioTrack(source);
  await output.start();
  const from = fromMs / 1000;
  for await (const packet of new EncodedPacketSink(track).packets()) {
    if (packet.timestamp < from) continue;
    if (packet.timestamp * 1000 >= toMs) break;
    await source.add(packet.clone({ timestamp: packet.timestamp - from }), { decoderConfig: config });
  }
  await output.finalize();
  input.dispose();
  return { sound: target.buffer!, mime: codec === 'opus' ? 'audio/webm;codecs=opus' : 'audio/mp4' };
}
