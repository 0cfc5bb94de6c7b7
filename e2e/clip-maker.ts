import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';

/**
 * A clip as it is drawn: when each frame is shown, where the dog stands in it, what else is in the picture, and the
 * sound beside it. Pixels of the picture; seconds.
 */
export type Scene = {
  readonly width: number;
  readonly height: number;
  readonly times: readonly number[];
  readonly dog: readonly (readonly [number, number])[];
  readonly poles: readonly (readonly [number, number])[];
  readonly sound?: {
    readonly rate: number;
    readonly samples: Float32Array;
    /** How often it is played in a row; once where nothing is said. */
    readonly times?: number;
  };
  readonly as?: 'webm' | 'mp4';
};

const LIBRARY = readFileSync('node_modules/mediabunny/dist/bundles/mediabunny.mjs', 'utf8');

/** Bits of the frame's number, drawn as blocks along the lower edge: what is shown can be told from the picture. */
const BITS = 12;
const BLOCK = 24;

/** Makes the clip in a page of its own, with the browser's own encoders. */
export async function makeClip(page: Page, scene: Scene): Promise<Buffer> {
  const base = new URL(page.url()).origin;
  const maker = await page.context().newPage();
  await maker.route(`${base}/clip-maker/*`, (route) =>
    route.request().url().endsWith('.mjs')
      ? route.fulfill({ contentType: 'text/javascript', body: LIBRARY })
      : route.fulfill({ contentType: 'text/html', body: '<title>clip maker</title>' }),
  );
  await maker.goto(`${base}/clip-maker/page.html`);
  const { sound, ...picture } = scene;
  const saved = maker.waitForEvent('download', { timeout: 0 });
  await maker.evaluate(
    async ({ picture, sound, bits, block }) => {
      const address = '/clip-maker/library.mjs';
      const media = await import(address);
      const { width, height, times, dog, poles } = picture;
      const canvas = new OffscreenCanvas(width, height);
      const context = canvas.getContext('2d') as OffscreenCanvasRenderingContext2D;
      const output = new media.Output({
        format: picture.as === 'mp4' ? new media.Mp4OutputFormat() : new media.WebMOutputFormat(),
        target: new media.BufferTarget(),
      });
      const video = new media.CanvasSource(canvas, {
        codec: picture.as === 'mp4' ? 'avc' : 'vp8',
        bitrate: 4e6,
      });
      output.addVideoTrack(video);
      const audio = sound ? new media.AudioBufferSource({ codec: 'opus', bitrate: 128e3 }) : null;
      if (audio) output.addAudioTrack(audio);
      await output.start();
      if (audio && sound) {
        const bytes = Uint8Array.from(atob(sound.samples), (one) => one.charCodeAt(0));
        const samples = new Float32Array(bytes.buffer);
        const buffer = new AudioBuffer({
          length: samples.length,
          numberOfChannels: 1,
          sampleRate: sound.rate,
        });
        buffer.copyToChannel(samples, 0);
        for (let i = 0; i < sound.times; i++) await audio.add(buffer);
        audio.close();
      }
      for (let i = 0; i < times.length; i++) {
        const at = times[i] as number;
        context.fillStyle = '#7a9a5a';
        context.fillRect(0, 0, width, height);
        context.fillStyle = '#b9c7d6';
        context.fillRect(0, 0, width, height * 0.28);
        for (const [x, y] of poles) {
          context.fillStyle = '#f4f1e8';
          context.fillRect(x - 3, y - 60, 6, 60);
          context.fillStyle = '#a03020';
          context.fillRect(x - 3, y - 20, 6, 20);
        }
        const [x, y] = dog[i] as readonly [number, number];
        context.fillStyle = '#2b1d14';
        context.beginPath();
        context.ellipse(x, y - 16, 26, 13, 0, 0, 2 * Math.PI);
        context.fill();
        context.fillRect(x - 20, y - 10, 5, 10);
        context.fillRect(x + 15, y - 10, 5, 10);
        for (let bit = 0; bit < bits; bit++) {
          context.fillStyle = (i >> bit) & 1 ? '#fff' : '#000';
          context.fillRect(bit * block, height - block, block, block);
        }
        await video.add(at, (times[i + 1] ?? at + (at - (times[i - 1] ?? 0))) - at);
      }
      video.close();
      await output.finalize();
      // As a file: a long clip is too much for a message.
      const link = document.createElement('a');
      link.href = URL.createObjectURL(new Blob([output.target.buffer]));
      link.download = 'clip';
      link.click();
    },
    {
      picture,
      sound: sound
        ? {
            rate: sound.rate,
            times: sound.times ?? 1,
            samples: Buffer.from(sound.samples.buffer).toString('base64'),
          }
        : null,
      bits: BITS,
      block: BLOCK,
    },
  );
  const made = readFileSync(await (await saved).path());
  await maker.close();
  return made;
}

/** The number of the frame that the page shows just now, read from its own picture. */
export function frameShown(page: Page): Promise<number> {
  return page.evaluate(
    async ({ bits, block }) => {
      const video = document.querySelector('video');
      if (!video) return -1;
      while (video.seeking || video.readyState < 2) await new Promise((done) => setTimeout(done, 10));
      await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
      const canvas = new OffscreenCanvas(video.videoWidth, video.videoHeight);
      const context = canvas.getContext('2d', {
        willReadFrequently: true,
      }) as OffscreenCanvasRenderingContext2D;
      context.drawImage(video, 0, 0);
      let frame = 0;
      for (let bit = 0; bit < bits; bit++) {
        const [red] = context.getImageData(bit * block + block / 2, video.videoHeight - block / 2, 1, 1).data;
        if ((red ?? 0) > 128) frame += 1 << bit;
      }
      return frame;
    },
    { bits: BITS, block: BLOCK },
  );
}
