import { type RefObject, useEffect, useRef, useState } from 'react';
import { useSize } from '../../../parts/useSize.ts';
import { RoomScene } from './scene.ts';

export interface InScene {
  box: RefObject<HTMLDivElement | null>;
  canvas: RefObject<HTMLCanvasElement | null>;
  scene: RefObject<RoomScene | undefined>;
  /** Why there is no room. */
  failure: string | undefined;
  /** Opens it once more, on a canvas of its own; how often that was is its key. */
  again: () => void;
  tries: number;
}

/** A room on a canvas as large as its box, and why there is none where there is none. `onGone` is told when its scene is taken away. */
export function useScene(onGone: () => void): InScene {
  const box = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const scene = useRef<RoomScene>(undefined);
  const { width, height } = useSize(box);
  const [failure, setFailure] = useState<string>();
  const [tries, setTries] = useState(0);
  const gone = useRef(onGone);
  useEffect(() => {
    gone.current = onGone;
  });

  useEffect(() => {
    const element = canvas.current;
    if (!element) return;
    try {
      scene.current = new RoomScene(element);
    } catch (error) {
      setFailure((error instanceof Error ? error.message : String(error)).replace(/^.*: /, '').replace(/\.$/, ''));
    }
    const lost = () => setFailure('the browser took its graphics away');
    element.addEventListener('webglcontextlost', lost);
    return () => {
      element.removeEventListener('webglcontextlost', lost);
      scene.current?.dispose();
      scene.current = undefined;
      gone.current();
    };
  }, [tries]);

  useEffect(() => {
    if (width > 0 && height > 0) scene.current?.resize(width, height);
  }, [width, height, tries]);

  const again = () => {
    setFailure(undefined);
    setTries(tries + 1);
  };
  return { box, canvas, scene, failure, again, tries };
}
