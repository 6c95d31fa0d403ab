import type { Correction, Design, Schemas } from "../../api/client";
import { setUpOf, type Box } from "../stations/designReading";

type Known = Schemas["Known"];

/** A yes or no of a file, as a correction says it. */
export const known = (said: boolean | null | undefined): Known => (said === true ? "yes" : said === false ? "no" : "unknown");

/** A box as a correction writes it, with parts of its label or of itself exchanged. */
export function boxCorrection(box: Box, parts: Partial<Extract<Correction, { label: unknown; box: string }>>, label: Partial<Schemas["LabelFacts"]> = {}): Correction {
  return {
    kind: "setBox",
    box: box.id,
    name: box.name,
    hardware: box.hardware ?? null,
    wanHardware: box.wanHardware ?? null,
    holds: box.holds ?? [],
    place: box.place ?? null,
    ...parts,
    label: { ...box.label, mended: known(box.label?.mended), ...label },
  };
}

/** A device as a correction writes it, with parts exchanged. */
export function deviceCorrection(device: Schemas["DeviceDocument"], parts: Partial<Schemas["Device"]>): Correction {
  return {
    kind: "setDevice",
    device: {
      id: device.id,
      name: device.name,
      kind: device.kind,
      hardware: device.hardware ?? null,
      checksLease: known(device.checksLease),
      bands: device.bands ?? [],
      newestSecurity: device.newestSecurity ?? null,
      hasSocket: known(device.hasSocket),
      place: device.place ?? null,
      ...parts,
    },
  };
}

/** The service as a correction writes it, with parts exchanged; a kind that needs an address has one from the start. */
export function serviceCorrection(service: Schemas["ServiceDocument"], parts: Partial<Omit<Schemas["ServiceUnknownService"], "kind">> & { kind?: Schemas["ServiceKind"]; address?: string; gateway?: string }): Correction {
  const { kind = service.kind, address, gateway, ...rest } = parts;
  const all = {
    downMbps: service.downMbps ?? null,
    upMbps: service.upMbps ?? null,
    leases: service.leases ?? 1,
    line: lineOf(service),
    access: service.access ?? ("unknown" as const),
    handOff: service.handOff ?? null,
    ...rest,
  };
  switch (kind) {
    case "publicFixed":
      return { kind: "setService", service: { kind, address: address ?? service.address ?? "", gateway: gateway ?? service.gateway ?? "", nameServers: service.nameServers ?? [], ...all } };
    case "carrierTranslation":
      return { kind: "setService", service: { kind, inside: service.inside ?? null, ...all } };
    default:
      return { kind: "setService", service: { kind, ...all } };
  }
}

/** What the line asks for, with everything that the file leaves out. */
export const lineOf = (service: Schemas["ServiceDocument"]): Schemas["LineNeeds"] => ({
  login: known(service.line?.login),
  tagged: known(service.line?.tagged),
  tag: service.line?.tag ?? null,
  locked: known(service.line?.locked),
  lockedTo: service.line?.lockedTo ?? null,
  account: service.line?.account ?? null,
  password: service.line?.password ?? null,
});

/** Where a box stands in what was found; null where it is not noted or the box is on the shelf. */
export const placeOf = (design: Design, box: string) => setUpOf(design).boxes.find((b) => b.box === box)?.place ?? null;

/** Half-typed numbers with a point are a state of the field; what is no number is said by the server. */
export const metres = (draft: string): number | null => {
  if (draft === "") {
    return null;
  }
  const number = Number(draft.replace(",", "."));
  if (!Number.isFinite(number)) {
    throw new Error("Metres such as 4.5 are expected.");
  }
  return number;
};
