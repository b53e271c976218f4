/** A turntable takes four seconds, at so many frames each. */
const FRAMES_s = 24;
export const TURNTABLE_FRAMES = 4 * FRAMES_s;
/** Wider is larger a file than it is clearer. */
const MOST_px = 1280;

/**
 * Frames as a film, WebM, each as long as the next however long it took to draw.
 * @throws Error in words where the browser writes no films.
 */
export async function webmOf(frames: Iterable<HTMLCanvasElement>): Promise<Uint8Array> {
  const { BufferTarget, canEncodeVideo, CanvasSource, Output, QUALITY_HIGH, WebMOutputFormat } =
    await import('mediabunny');
  const canvas = document.createElement('canvas');
  const pen = canvas.getContext('2d');
  if (!pen) throw new Error('The browser draws no pictures');
  let output: InstanceType<typeof Output> | undefined;
  let source: InstanceType<typeof CanvasSource> | undefined;
  let count = 0;
  for (const frame of frames) {
    if (!source) {
      // Even numbers of pixels: halves of them carry the colour.
      const k = Math.min(1, MOST_px / frame.width);
      canvas.width = 2 * Math.round((frame.width * k) / 2);
      canvas.height = 2 * Math.round((frame.height * k) / 2);
      if (!(await canEncodeVideo('vp8', { width: canvas.width, height: canvas.height })))
        throw new Error('This browser writes no films here; the picture can be saved');
      source = new CanvasSource(canvas, { codec: 'vp8', bitrate: QUALITY_HIGH });
      output = new Output({ format: new WebMOutputFormat(), target: new BufferTarget() });
      output.addVideoTrack(source, { frameRate: FRAMES_s });
      await output.start();
    }
    pen.drawImage(frame, 0, 0, canvas.width, canvas.height);
    await source.add(count / FRAMES_s, 1 / FRAMES_s);
    count += 1;
  }
  await output?.finalize();
  const bytes = output?.target instanceof BufferTarget ? output.target.buffer : null;
  if (!bytes) throw new Error('There was nothing to film');
  return new Uint8Array(bytes);
}
