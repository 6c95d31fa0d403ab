/** A moment as it is read, in the time of this place. */
export const momentWords = (at: string) => new Date(at).toLocaleString("en-GB", { dateStyle: "medium", timeStyle: "short" });
