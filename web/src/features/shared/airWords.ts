import type { Schemas } from "../../api/client";

const digits = (mbps: number) => {
  const step = mbps < 10 ? 0.1 : mbps < 100 ? 1 : mbps < 1000 ? 5 : 50;
  return String(Math.round(Math.round(mbps / step) * step * 10) / 10);
};

/** A rate that was measured, without its unit: not rounded as coarsely as what is computed. */
export const mbpsText = (mbps: number) => String(mbps < 10 ? Math.round(mbps * 10) / 10 : Math.round(mbps));

/** What is expected with its spread, such as "60 Mb/s (30 to 150)". */
export const spanWords = (span: Schemas["RateSpan"], exact = false) => {
  const may = spanText(span, exact);
  return span.usual === null ? `${may} Mb/s` : `${usualText(span, exact)}${may ? ` (${may})` : ""}`;
};

/** What is expected, in Mb/s. */
export const usualText = ({ usual }: Schemas["RateSpan"], exact = false) =>
  usual === null ? "not known" : `${(exact ? mbpsText : digits)(usual)} Mb/s`;

/** From where to where it may be; empty where that is one value. */
export const spanText = ({ low, high }: Schemas["RateSpan"], exact = false) => {
  const told = exact ? mbpsText : digits;
  return told(low) === told(high) ? "" : `${told(low)} to ${told(high)}`;
};

export const dbmText = (level: Schemas["SignalLevel"]) => `${Math.round(level.dbm)} dBm`;

export const percent = (share: number) => `${Math.round(share * 100)} %`;
