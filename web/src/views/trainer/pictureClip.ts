import { CLIP_S, lossesOf, uniform, type PlayingClip } from './clip.ts';

/** Of the picture, dots. */
export const PICTURE = { width: 640, height: 360 } as const;
/** Posts that pass, as a walk's would. */
const POSTS = 9;

/**
 * Plays a picture that moves, of which so much is lost: it stands still meanwhile, and where all is lost it is black.
 */
export function playPicture(canvas: HTMLCanvasElement, level: number): PlayingClip {
  const pen = canvas.getContext('2d') as CanvasRenderingContext2D;
  const losses = lossesOf(level);
  const startMs = performance.now();
  const offset = 100 * uniform();
  let frame = 0;
  let done: () => void = () => undefined;
  const over = new Promise<void>((resolve) => (done = resolve));
  const stop = (): void => {
    cancelAnimationFrame(frame);
    done();
  };
  const draw = (): void => {
    const s = (performance.now() - startMs) / 1000;
    if (s >= CLIP_S) return stop();
    frame = requestAnimationFrame(draw);
    if (level >= 1) drawNothing(pen);
    else if (!losses.some((l) => s >= l.fromS && s < l.toS)) drawScene(pen, s + offset);
  };
  drawScene(pen, offset);
  draw();
  return { over, stop };
}

function drawNothing(pen: CanvasRenderingContext2D): void {
  pen.fillStyle = '#000';
  pen.fillRect(0, 0, PICTURE.width, PICTURE.height);
}

/** A field with posts that pass, and a ball that bounces: something moves in every frame. */
function drawScene(pen: CanvasRenderingContext2D, s: number): void {
  const { width, height } = PICTURE;
  pen.fillStyle = '#cfd8d2';
  pen.fillRect(0, 0, width, height);
  pen.fillStyle = '#7d8a6a';
  pen.fillRect(0, 0.62 * height, width, 0.38 * height);
  const apart = width / (POSTS - 1);
  const shift = (160 * s) % apart;
  for (let k = 0; k < POSTS + 1; k++) {
    pen.fillStyle = k % 2 === 0 ? '#2b322f' : '#8c4a2f';
    pen.fillRect(k * apart - shift - 5, 0.36 * height, 10, 0.36 * height);
  }
  pen.fillStyle = '#e9c33f';
  pen.beginPath();
  pen.arc(
    width * (0.5 + 0.4 * Math.sin(1.7 * s)),
    0.7 * height - 0.45 * height * Math.abs(Math.sin(3.1 * s)),
    22,
    0,
    2 * Math.PI,
  );
  pen.fill();
}
