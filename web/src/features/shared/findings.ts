import type { Finding, Proof } from "../../api/client";

/** A concern that nothing can be done about here: it stands apart. */
export const adviceOnly = (finding: Finding) => finding.remedies.length === 0 && finding.severity === "concern";

/** Findings that are still to be settled and stand by themselves, in the order in which they are numbered: the worst first. */
export function standing(proof: Proof): Finding[] {
  const open = proof.findings.filter((f) => f.causedBy.length === 0 && !f.accepted);
  return [...open.filter((f) => !adviceOnly(f)), ...open.filter(adviceOnly)];
}

/** Findings that a person answers for. */
export const accepted = (proof: Proof): Finding[] => proof.findings.filter((f) => f.accepted);

/** What follows from a finding, each at the first of its causes that stands. */
export function following(proof: Proof, cause: Finding): Finding[] {
  const roots = new Set(proof.findings.filter((f) => f.causedBy.length === 0).map((f) => f.identity));
  return proof.findings.filter((f) => f.causedBy.length > 0 && (f.causedBy.find((c) => roots.has(c)) ?? f.causedBy[0]) === cause.identity);
}
