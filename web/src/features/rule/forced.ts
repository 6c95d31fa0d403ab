/** The system's own colours, on the rule and on its strip: everything told apart by lines and shapes. */
export const forced = {
  "@media (forced-colors: active)": {
    "& rect, & circle": { fill: "CanvasText" },
    "& > rect": { fill: "Canvas", stroke: "CanvasText" },
    "& path": { stroke: "CanvasText" },
    "& text": { fill: "CanvasText" },
    "& .grip": { fill: "Highlight" },
    "& rect[fill=transparent]": { fill: "transparent" },
  },
};
