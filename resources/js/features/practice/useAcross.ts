import { type PointerEvent, useRef } from 'react';

type Drag = {
  /** Size of the drawing, in its own units. */
  width: number;
  height: number;
  isStill: boolean;
  /** @param moved since it was taken, in the drawing's units; to the right above zero */
  onGo: (moved: number) => void;
  onDrop: (moved: number) => void;
  onLost: () => void;
};

/** Something in a drawing is taken, moved across it, and let go. */
export const useAcross = ({ width, height, isStill, onGo, onDrop, onLost }: Drag) => {
  const held = useRef<{ x: number; perPixel: number } | null>(null);
  return {
    onPointerDown: (event: PointerEvent<SVGSVGElement>) => {
      if (isStill) return;
      event.currentTarget.setPointerCapture(event.pointerId);
      const box = event.currentTarget.getBoundingClientRect();
      // What is drawn keeps its shape, so that a wide box has room at its sides.
      held.current = { x: event.clientX, perPixel: Math.max(width / box.width, height / box.height) };
    },
    onPointerMove: (event: PointerEvent<SVGSVGElement>) => {
      if (held.current !== null) onGo((event.clientX - held.current.x) * held.current.perPixel);
    },
    onPointerUp: (event: PointerEvent<SVGSVGElement>) => {
      const drag = held.current;
      held.current = null;
      if (drag !== null) onDrop((event.clientX - drag.x) * drag.perPixel);
    },
    onPointerCancel: () => {
      held.current = null;
      onLost();
    },
  };
};
