import { useRef, useState } from "react";

/** A file that the server makes. */
interface Wanted {
  address: string;
  /** A link asks by GET; what a link cannot ask is asked by POST. */
  method?: "GET" | "POST";
  /** How far it is, from what has come of it; where it is left out that is not asked. */
  measure?: (text: string) => number;
}

/** Asks for a file, says how far it is, can be stopped, and hands what came to the browser to be kept. */
export function useDownload() {
  const [done, setDone] = useState<number | null>(null);
  const [error, setError] = useState<string | null>(null);
  const stopper = useRef<AbortController>(undefined);
  const get = async ({ address, method = "GET", measure }: Wanted) => {
    const own = (stopper.current = new AbortController());
    setDone(0);
    setError(null);
    try {
      const answer = await fetch(address, { method, signal: own.signal });
      if (!answer.ok || !answer.body) {
        throw new Error(`The server answered ${answer.status}.`);
      }
      const chunks: Uint8Array<ArrayBuffer>[] = [];
      const letters = new TextDecoder();
      let text = "";
      const body = answer.body.getReader();
      for (let part = await body.read(); !part.done; part = await body.read()) {
        chunks.push(part.value);
        if (measure) {
          text += letters.decode(part.value, { stream: true });
          setDone(measure(text));
        }
      }
      const link = document.createElement("a");
      link.href = URL.createObjectURL(new Blob(chunks, { type: answer.headers.get("content-type") ?? "" }));
      link.download = /filename="?([^";]+)/.exec(answer.headers.get("content-disposition") ?? "")?.[1] ?? "file.json";
      link.click();
      URL.revokeObjectURL(link.href);
    } catch (e) {
      if (!own.signal.aborted) {
        setError(e instanceof TypeError ? "The connection ended before the file did." : (e as Error).message);
      }
    } finally {
      setDone(null);
    }
  };
  return {
    busy: done !== null,
    /** How far it is, by the measure; null where nothing is under way. */
    done,
    error,
    get: (wanted: Wanted) => void get(wanted),
    stop: () => stopper.current?.abort(),
  };
}
