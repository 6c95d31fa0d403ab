import { useCallback, useState, type RefCallback } from "react";

interface Room {
  w: number;
  h: number;
}

/** How large an element is inside, from when it is drawn; until then a guess. */
export function useRoom(guess: Room): [RefCallback<HTMLElement>, Room] {
  const [room, setRoom] = useState(guess);
  const frame = useCallback((element: HTMLElement | null) => {
    if (!element) {
      return undefined;
    }
    const observer = new ResizeObserver(() => setRoom({ w: element.clientWidth, h: element.clientHeight }));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [frame, room];
}
