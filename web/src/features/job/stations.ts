import { workStationWords } from "../../ui/words";

export type Station = "survey" | "plan" | "proof" | "run" | "handover";

/** The five stations in the order in which the work is done. */
export const stationWords: Record<Station, { name: string; coming: string }> = {
  survey: { name: workStationWords.survey, coming: "" },
  plan: { name: workStationWords.plan, coming: "" },
  proof: { name: workStationWords.proof, coming: "" },
  run: { name: "Run sheet", coming: "" },
  handover: { name: "Handover", coming: "Here you will print what stays with the customer: settings, names, and how it measured." },
};

export const stations = Object.keys(stationWords) as Station[];

export const isStation = (word: string | undefined): word is Station => stations.includes(word as Station);
