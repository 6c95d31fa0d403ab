import body from "@fontsource-variable/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-wght-normal.woff2?url";
import mono from "@fontsource-variable/atkinson-hyperlegible-mono/files/atkinson-hyperlegible-mono-latin-wght-normal.woff2?url";

/** What a shape looks like, as it stands on screen. */
const looks = [
  "fill",
  "stroke",
  "stroke-width",
  "stroke-dasharray",
  "stroke-linejoin",
  "stroke-linecap",
  "font-family",
  "font-size",
  "font-weight",
  "text-anchor",
  "opacity",
];

const typefaces = [
  ["Atkinson Hyperlegible Next Variable", body],
  ["Atkinson Hyperlegible Mono Variable", mono],
] as const;

/** The drawing as a file of its own: colours and typefaces inside, nothing to press. */
export async function drawingFile(svg: SVGSVGElement, title: string): Promise<string> {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const shown = svg.querySelectorAll<SVGElement>("*");
  copy.querySelectorAll<SVGElement>("*").forEach((element, i) => {
    const original = shown[i];
    if (!original) {
      return;
    }
    const style = getComputedStyle(original);
    for (const name of looks) {
      const value = style.getPropertyValue(name);
      if (value !== "" && value !== "none" && value !== "normal") {
        element.setAttribute(name, value);
      } else if (name === "fill" || name === "stroke") {
        element.setAttribute(name, "none");
      }
    }
    for (const attribute of ["class", "role", "tabindex", "aria-label", "aria-pressed", "data-key"]) {
      element.removeAttribute(attribute);
    }
  });
  copy.querySelectorAll("title").forEach((t) => t.remove());
  const { width, height } = svg.viewBox.baseVal;
  copy.setAttribute("xmlns", "http://www.w3.org/2000/svg");
  copy.setAttribute("width", String(width));
  copy.setAttribute("height", String(height));
  copy.removeAttribute("class");
  copy.removeAttribute("role");
  copy.removeAttribute("aria-label");
  const head = document.createElementNS("http://www.w3.org/2000/svg", "title");
  head.textContent = title;
  const style = document.createElementNS("http://www.w3.org/2000/svg", "style");
  const faces = await Promise.all(
    typefaces.map(
      async ([name, url]) =>
        `@font-face{font-family:"${name}";font-weight:200 800;src:url(${await dataUrl(await (await fetch(url)).blob())}) format("woff2")}`,
    ),
  );
  style.textContent = faces.join("");
  copy.prepend(head, style);
  return new XMLSerializer().serializeToString(copy);
}

/** The drawing as pixels, twice as fine as on screen. */
export async function drawingPicture(file: string, width: number, height: number): Promise<Blob> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(file)}`;
  await image.decode();
  const canvas = document.createElement("canvas");
  canvas.width = Math.ceil(width * 2);
  canvas.height = Math.ceil(height * 2);
  canvas.getContext("2d")?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return await new Promise((done, failed) =>
    canvas.toBlob((blob) => (blob ? done(blob) : failed(new Error("The picture could not be made."))), "image/png"),
  );
}

/** Hands a file to the browser to keep. */
export function keep(blob: Blob, name: string): void {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
}

const dataUrl = (blob: Blob): Promise<string> =>
  new Promise((done, failed) => {
    const reader = new FileReader();
    reader.onload = () => done((reader.result as string).replace("application/octet-stream", "font/woff2"));
    reader.onerror = () => failed(new Error("A typeface could not be read."));
    reader.readAsDataURL(blob);
  });
