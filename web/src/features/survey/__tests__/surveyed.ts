import type { Schemas } from "../../../api/client";

/** Options from which the survey tells whether anything is needed. */
export const plan: Schemas["PlanDocument"] = {
  options: [],
  proven: 3,
  isCut: false,
  isRunning: false,
  canBecome: [],
  first: { kind: "oneCable", sentence: "One cable to Study is enough.", reasons: ["Study is far."] },
  spares: [{ box: "old-router", worth: "leave", for: "access-point mode, Study", reasons: ["It is a relic."] }],
  gateway: [],
  notMet: [],
  impossible: [],
};

/** What the survey adds up to. */
export const view: Schemas["SurveyView"] = {
  gaps: [{ subject: "hall-gateway", what: "Its label is not read.", how: "Turn it over." }],
  cautions: [{ box: "old-router", says: ["It sends on 2.4 GHz only."] }],
  cables: [],
  newer: [],
  service: "fibre",
  needs: [],
  changing: [],
  air: [],
  settings: [],
  waking: [],
  house: { name: null, password: null },
};
