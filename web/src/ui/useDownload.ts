import { useState } from "react";

/** Asks for a file by POST, since a link would ask for it by GET, and hands it to the browser to be kept. */
export function useDownload() {
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<string | null>(null);
  const post = async (address: string) => {
    setBusy(true);
    setError(null);
    try {
      const answer = await fetch(address, { method: "POST" });
      if (!answer.ok) {
        throw new Error(`The server answered ${answer.status}.`);
      }
      const link = document.createElement("a");
      link.href = URL.createObjectURL(await answer.blob());
      link.download = /filename="?([^";]+)/.exec(answer.headers.get("content-disposition") ?? "")?.[1] ?? "file.json";
      link.click();
      URL.revokeObjectURL(link.href);
    } catch (e) {
      setError((e as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return { busy, error, post: (address: string) => void post(address) };
}
