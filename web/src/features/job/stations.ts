export type Station = "survey" | "plan" | "proof" | "run" | "handover";

/** The five stations in the order in which the work is done. */
export const stationWords: Record<Station, { name: string; coming: string }> = {
  survey: { name: "Survey", coming: "" },
  plan: { name: "Plan", coming: "" },
  proof: { name: "Proof", coming: "" },
  run: { name: "Run sheet", coming: "Here you will be led through the work one step at a time, with what should be seen at each." },
  handover: { name: "Handover", coming: "Here you will print what stays with the customer: settings, names, and how it measured." },
};

export const stations = Object.keys(stationWords) as Station[];

export const isStation = (word: string | undefined): word is Station => stations.includes(word as Station);
