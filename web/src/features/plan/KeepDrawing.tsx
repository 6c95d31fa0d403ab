import { Download } from "lucide-react";
import { useState, type RefObject } from "react";
import { Button } from "../../ui/controls";

/** Keeps the drawing as a file: SVG for print, PNG for a message. */
export function KeepDrawing({ svg, name }: { svg: RefObject<SVGSVGElement | null>; name: string }) {
  const [wrong, setWrong] = useState<string | null>(null);
  const keepAs = async (kind: "svg" | "png") => {
    if (!svg.current) {
      return;
    }
    try {
      const { drawingFile, drawingPicture, keep } = await import("../terraces/exportDrawing");
      const file = await drawingFile(svg.current, name);
      const { width, height } = svg.current.viewBox.baseVal;
      const slug =
        name
          .toLowerCase()
          .replace(/[^a-z0-9]+/g, "-")
          .replace(/^-|-$/g, "") || "home";
      keep(kind === "svg" ? new Blob([file], { type: "image/svg+xml" }) : await drawingPicture(file, width, height), `${slug}.${kind}`);
      setWrong(null);
    } catch (e) {
      setWrong(`The drawing could not be kept: ${(e as Error).message}`);
    }
  };
  return (
    <>
      {wrong && <span role="alert">{wrong}</span>}
      {(["svg", "png"] as const).map((kind) => (
        <Button
          key={kind}
          variant="quiet"
          px="2"
          aria-label={`Keep the drawing as ${kind.toUpperCase()}`}
          title={`Keep the drawing as ${kind.toUpperCase()}`}
          onClick={() => void keepAs(kind)}
        >
          <Download size={16} aria-hidden /> {kind.toUpperCase()}
        </Button>
      ))}
    </>
  );
}
