/** The drawing, and beside it what is said of it: narrower where the window is, so that a small home fits at full size. */
export const drawingAndSide = "minmax(0, 1fr) clamp(21rem, 28vw, 24rem)";
