import jsQR from 'jsqr';
import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { type Gathered, readRunFile, textOf, withPiece } from '@/data/files';
import { useKennel } from '@/data/live';
import { takeRun } from '@/data/write';
import { Button, Notice } from '@/ui';
import { wordsOf } from '@/words';
import { tell } from './words';

/** Takes a run of another device in: from its file, from pictures of codes, or by the camera. */
export function TakeIn() {
  const { kennel, done } = useKennel();
  const navigate = useNavigate();
  const [problem, setProblem] = useState<string | null>(null);
  const [camera, setCamera] = useState(false);
  const gathered = useRef<Gathered | null>(null);
  const take = async (text: string): Promise<void> => {
    const file = readRunFile(text);
    if (!file.ok) return setProblem(wordsOf(file.message));
    const taken = await done(
      ({ run, news, isNew }) => tell('take-in.taken', { name: run.name, news, isNew }),
      takeRun(kennel, file.value),
    );
    setProblem(null);
    if (!taken.ok) return;
    const { run } = taken.value.made;
    await navigate(
      file.value.script
        ? `/${kennel.name}/trials/runs/${run.id}/steward`
        : `/${kennel.name}/trials/runs/${run.id}`,
    );
  };
  /** True once all pieces are there. */
  const piece = async (read: string): Promise<boolean> => {
    const next = withPiece(gathered.current, read);
    if (!next) {
      setProblem(tell('take-in.no-code-of-ours'));
      return false;
    }
    gathered.current = next;
    const text = await textOf(next);
    if (!text.ok) {
      setProblem(wordsOf(text.message));
      return false;
    }
    gathered.current = null;
    await take(text.value);
    return true;
  };
  const files = async (list: FileList | null): Promise<void> => {
    for (const file of list ?? []) {
      if (!file.type.startsWith('image/')) {
        await take(await file.text());
        continue;
      }
      const read = await readPicture(file);
      if (read === null) setProblem(tell('take-in.no-code-in-it', { name: file.name }));
      else await piece(read);
    }
  };
  const input = useRef<HTMLInputElement>(null);
  return (
    <div className="grid gap-3">
      <p className="flex flex-wrap gap-3">
        <Button onClick={() => input.current?.click()}>{tell('take-in.file-or-pictures')}</Button>
        <Button aria-pressed={camera} onClick={() => setCamera(!camera)}>
          {camera ? tell('take-in.stop-the-camera') : tell('take-in.by-the-camera')}
        </Button>
        <input
          ref={input}
          type="file"
          multiple
          accept=".json,application/json,image/*"
          aria-label={tell('take-in.run-file')}
          className="sr-only"
          tabIndex={-1}
          onChange={(event) => {
            const list = event.target.files;
            void files(list).then(() => {
              if (input.current) input.current.value = '';
            });
          }}
        />
      </p>
      {problem && <Notice role="status">{problem}</Notice>}
      {camera && (
        <Camera
          onRead={async (read) => {
            if (await piece(read)) setCamera(false);
          }}
          onTrouble={(why) => {
            setCamera(false);
            setProblem(why);
          }}
        />
      )}
    </div>
  );
}

/** The longest side of a picture that is looked through, pixels: a code needs no more. */
const LONGEST = 1600;

async function readPicture(file: Blob): Promise<string | null> {
  try {
    const picture = await createImageBitmap(file);
    const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
    return readFrame(picture, Math.round(picture.width * scale), Math.round(picture.height * scale));
  } catch {
    return null;
  }
}

function readFrame(source: CanvasImageSource, width: number, height: number): string | null {
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d', { willReadFrequently: true });
  if (!context || width === 0 || height === 0) return null;
  context.drawImage(source, 0, 0, width, height);
  const { data } = context.getImageData(0, 0, width, height);
  return jsQR(data, width, height)?.data ?? null;
}

/** Looks are taken so many milliseconds apart. */
const LOOK = 150;

function Camera({
  onRead,
  onTrouble,
}: {
  readonly onRead: (read: string) => Promise<void>;
  readonly onTrouble: (why: string) => void;
}) {
  const video = useRef<HTMLVideoElement>(null);
  const call = useRef({ onRead, onTrouble });
  call.current = { onRead, onTrouble };
  useEffect(() => {
    let stream: MediaStream | null = null;
    let over = false;
    let before = '';
    const start = async (): Promise<void> => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
        if (over || !video.current) return stop();
        video.current.srcObject = stream;
        await video.current.play();
      } catch {
        if (!over) call.current.onTrouble(tell('take-in.no-camera'));
      }
    };
    const stop = (): void => {
      for (const track of stream?.getTracks() ?? []) track.stop();
    };
    const timer = setInterval(() => {
      const seen = video.current;
      if (!seen || seen.videoWidth === 0) return;
      const read = readFrame(seen, seen.videoWidth, seen.videoHeight);
      if (read === null || read === before) return;
      before = read;
      void call.current.onRead(read);
    }, LOOK);
    void start();
    return () => {
      over = true;
      clearInterval(timer);
      stop();
    };
  }, []);
  return (
    <video
      ref={video}
      muted
      playsInline
      aria-label={tell('take-in.camera')}
      className="w-full max-w-sm border-2 border-ink"
    />
  );
}
