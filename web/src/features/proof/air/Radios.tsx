import { Box, chakra } from "@chakra-ui/react";
import type { JobState, Schemas } from "../../../api/client";
import { Cell, Head } from "../../../ui/tables";
import { bandWords, securityWords, walkEndWords } from "../../../ui/words";
import { nameOf } from "../../shared/designReading";
import { mbpsText, percent } from "../../shared/airWords";

/** Each radio with its channel, what is left of its time, and who disturbs it. */
export function Radios({ air, state }: { air: Schemas["SpeedAndAir"]; state: JobState }) {
  const { radios, shares } = air;
  const { design } = state;
  return (
    <Box as="section" aria-labelledby="radios">
      <chakra.h2 id="radios" fontSize="lg" mb="1">
        Radios and their airtime
      </chakra.h2>
      {radios.length === 0 ? (
        <Box color="muted">No radio sends.</Box>
      ) : (
        <Box overflowX="auto" tabIndex={0} role="region" aria-label="Radios, table">
          <chakra.table width="100%">
            <thead>
              <tr>
                <Head scope="col">Radio</Head>
                <Head scope="col">Channel</Head>
                <Head scope="col">Airtime left</Head>
                <Head scope="col">Heard on its channel</Head>
                <Head scope="col">While all its devices are busy</Head>
              </tr>
            </thead>
            <tbody>
              {radios.map((r) => (
                <tr key={`${r.box}/${r.radio}`}>
                  <Cell>
                    {nameOf(design, r.box)}
                    <Box fontSize="sm" color="muted">
                      {bandWords[r.band]}, {r.names.join(", ")}
                    </Box>
                  </Cell>
                  <Cell>
                    {r.channel ?? "chooses itself"}
                    {r.widthMhz && (
                      <Box fontSize="sm" color="muted">
                        {r.widthMhz} MHz wide
                      </Box>
                    )}
                  </Cell>
                  <Cell whiteSpace="nowrap">
                    <chakra.span fontFamily="mono">{spanned(r.aloneAtLeast, r.alone)}</chakra.span>
                    {(percent(r.busy) !== percent(r.alone) || percent(r.busyAtLeast) !== percent(r.aloneAtLeast)) && (
                      <Box fontSize="sm" color="ochre">
                        {spanned(r.busyAtLeast, r.busy)} while all are busy
                      </Box>
                    )}
                  </Cell>
                  <Cell>
                    <Disturbed by={r} state={state} />
                  </Cell>
                  <Cell>
                    <Sharing share={shares.find((s) => s.box === r.box && s.radio === r.radio)} state={state} />
                  </Cell>
                </tr>
              ))}
            </tbody>
          </chakra.table>
        </Box>
      )}
    </Box>
  );
}

function Disturbed({ by, state }: { by: Schemas["AirUse"]; state: JobState }) {
  if (by.channel === null) {
    return <chakra.span color="muted">not known: it chooses its channel</chakra.span>;
  }
  if (by.disturbers.length + by.mayDisturb.length === 0) {
    return <chakra.span color="muted">{by.scannedIn ? "no one" : "no box of the home; no scan tells of neighbours"}</chakra.span>;
  }
  return (
    <>
      {[...by.disturbers, ...by.mayDisturb].map((d, i) => (
        <Box key={i}>
          {d.box ? nameOf(state.design, d.box) : d.name === "" ? "a neighbour that hides its name" : `neighbour "${d.name}"`}{" "}
          <chakra.span color="muted" fontSize="sm">
            on channel {d.channel}, {Math.round(d.levelDbm)} dBm, over {percent(d.covers)} of it
            {d.busyPercent !== null && `; finds it busy ${d.busyPercent} % of the time`}
            {i >= by.disturbers.length && "; only if wider than 20 MHz: width not noted"}
          </chakra.span>
        </Box>
      ))}
      {by.scannedIn && (
        <Box fontSize="sm" color="muted">
          neighbours as heard in {nameOf(state.design, by.scannedIn)}
        </Box>
      )}
    </>
  );
}

/** What each device of a radio gets while all are busy, and which of them takes most of the time. */
function Sharing({ share, state }: { share: Schemas["AirShare"] | undefined; state: JobState }) {
  const most = share?.devices[0];
  if (!share || !most) {
    return <chakra.span color="muted">one device at most</chakra.span>;
  }
  return (
    <>
      <chakra.span fontFamily="mono">{mbpsText(share.eachMbps)} Mb/s</chakra.span> for each of {share.devices.length}
      {share.isUneven && (
        <Box fontSize="sm" color="ochre">
          {nameOf(state.design, most.device)} takes {percent(most.part)} of the time; without it each gets{" "}
          {mbpsText(share.withoutSlowestMbps)} Mb/s
        </Box>
      )}
    </>
  );
}

/** A part that is at least so much, and more where what is not noted is favourable. */
function spanned(least: number, most: number) {
  return percent(least) === percent(most) ? percent(most) : `${Math.round(100 * least)} to ${percent(most)}`;
}

/** Where a device that is carried about ends badly served, and which devices do not get in everywhere. */
export function MovingAbout({ air, state }: { air: Schemas["SpeedAndAir"]; state: JobState }) {
  const { design } = state;
  return (
    <Box as="section" aria-labelledby="moving">
      <chakra.h2 id="moving" fontSize="lg" mb="1">
        Moving about
      </chakra.h2>
      {air.walks.length === 0 ? (
        <Box color="muted">
          As far as levels are known, a device that is carried about finds what serves it: it decides itself, usually near{" "}
          {air.levels.movingDbm} dBm.
        </Box>
      ) : (
        <chakra.ul ps="0" listStyleType="none" display="grid" gap="1">
          {air.walks.map((w) => (
            <li key={`${w.box} ${w.name} ${w.to}`}>
              <chakra.span color={w.does === "stays" ? "muted" : "ochre"} fontWeight="600">
                {w.does === "stays" ? "◇" : "▲"} {walkEndWords[w.does]}:
              </chakra.span>{" "}
              {w.says}
            </li>
          ))}
        </chakra.ul>
      )}
      {air.limits.length > 0 && (
        <Box mt="2">
          <chakra.h3 fontSize="sm">Devices that do not get in everywhere</chakra.h3>
          <chakra.ul ps="0" listStyleType="none">
            {air.limits.map((l) => (
              <li key={l.device}>
                {nameOf(design, l.device)}{" "}
                <chakra.span color="muted">
                  {[
                    l.bands.length > 0 && `knows ${l.bands.map((b) => bandWords[b]).join(" and ")} only`,
                    l.newestSecurity && `knows no newer security than ${securityWords[l.newestSecurity]}`,
                    l.oldest && "is of the 11 Mb/s class: all others announce their frames for it",
                  ]
                    .filter(Boolean)
                    .join("; ")}
                </chakra.span>
              </li>
            ))}
          </chakra.ul>
        </Box>
      )}
    </Box>
  );
}

/** Each name with all who send it, and whether it is one network or only looks like one. */
export function NamesOnAir({ names, movingDbm, state }: { names: Schemas["NameFact"][]; movingDbm: number; state: JobState }) {
  const { design } = state;
  return names.length === 0 ? null : (
    <Box as="section" aria-labelledby="names">
      <chakra.h2 id="names" fontSize="lg" mb="1">
        Wi-Fi names (SSIDs)
      </chakra.h2>
      <Box overflowX="auto" tabIndex={0} role="region" aria-label="Wi-Fi names, table">
        <chakra.table width="100%">
          <thead>
            <tr>
              <Head scope="col">Name</Head>
              <Head scope="col">Moving about</Head>
              <Head scope="col">Sent by</Head>
            </tr>
          </thead>
          <tbody>
            {names.map((n) => (
              <tr key={n.name}>
                <Cell css={{ overflowWrap: "anywhere" }}>{n.name}</Cell>
                <Cell>
                  {n.groups === 1 ? (
                    `one network: a device decides when it moves, usually near ${movingDbm} dBm`
                  ) : (
                    <chakra.span color="ochre" fontWeight="600">
                      ▲ only looks like one: {n.groups} groups, no device moves between them
                    </chakra.span>
                  )}
                </Cell>
                <Cell>
                  {n.senders.map((s, i) => (
                    <Box key={i}>
                      {nameOf(design, s.box)}{" "}
                      <chakra.span color="muted" fontSize="sm">
                        {bandWords[s.band]}, {securityWords[s.security]}
                        {passwordWords(s, n)}
                        {s.guest && ", for guests"}
                        {n.groups > 1 && `, group ${s.group}`}
                      </chakra.span>
                    </Box>
                  ))}
                </Cell>
              </tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
    </Box>
  );
}

/** Which password a sender has, where that is not noted or the senders of the name differ in it. */
function passwordWords(sender: Schemas["NameSender"], of: Schemas["NameFact"]) {
  if (sender.security === "open") {
    return "";
  }
  const several = new Set(of.senders.filter((s) => s.security !== "open").map((s) => s.password)).size > 1;
  return sender.password === null ? ", password not noted" : several ? `, password "${sender.password}"` : "";
}
