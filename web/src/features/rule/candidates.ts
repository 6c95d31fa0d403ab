import type { Change, Design, Proof, Schemas } from "../../api/client";
import { nameOf, setUpOf } from "../shared/designReading";

/** A host in a segment to which an address can be given by hand. */
export interface Candidate {
  key: string;
  owner: string;
  name: string;
  give: (address: string) => Change[];
}

/** The hosts of a ruler's segment that can be given one of its addresses. */
export function candidatesOf(design: Design, proof: Proof, ruler: Schemas["RulerFact"]): Candidate[] {
  const prefix = ruler.subnet.split("/")[1] ?? "24";
  return proof.facts.addresses
    .filter((f) => f.segment === ruler.segment && f.side !== "provider")
    .flatMap((f): Candidate[] => {
      // A router whose WAN side is in its own LAN is no gateway of its own.
      const { gateway, dnsServers } = f.owner === ruler.router ? { gateway: null, dnsServers: [] } : ruler;
      const typed = (address: string) => ({ kind: "fixed" as const, address: `${address}/${prefix}`, gateway, dnsServers });
      const make: Record<Schemas["Side"], ((address: string) => Change) | null> = {
        lan: (address) => ({ kind: "setLanAddress", box: f.owner, address: `${address}/${prefix}` }),
        page: (address) => ({ kind: "setPageAddress", box: f.owner, address: typed(address) }),
        device: (address) => ({ kind: "setDeviceAddress", device: f.owner, address: typed(address) }),
        wan: (address) => ({ kind: "setWan", box: f.owner, address: typed(address) }),
        // Set where the guest network is: its pool goes with it.
        guest: null,
        provider: null,
        laptop: null,
      };
      const change = make[f.side];
      return change
        ? [
            {
              key: `${f.owner} ${f.side}`,
              owner: f.owner,
              name: f.side === "wan" ? `${nameOf(design, f.owner)}, outside` : nameOf(design, f.owner),
              give: (address) => [change(address)],
            },
          ]
        : [];
    });
}

/** Which subnet is looked at: the one of what is chosen, else the foremost. */
export function rulerOf(design: Design, proof: Proof, choice: { kind: string; id: string } | null): Schemas["RulerFact"] | undefined {
  const { rulers, addresses } = proof.facts;
  const owner =
    choice?.kind === "finding"
      ? undefined
      : choice?.kind === "cable"
        ? setUpOf(design)
            .cables.find((c) => c.id === choice.id)
            ?.from.split("/")[0]
        : choice?.id.split("/")[0];
  const segment =
    choice?.kind === "terrace"
      ? choice.id
      : addresses.filter((a) => a.owner === owner).sort((a, b) => Number(a.side === "wan") - Number(b.side === "wan"))[0]?.segment;
  // Else the one nearest to the internet line.
  const near = proof.facts.uplinks.map((u) => rulers.find((r) => r.pools.some((p) => p.router === u.owner))).find((r) => r !== undefined);
  return rulers.find((r) => r.segment === segment) ?? near ?? rulers[0];
}
