import { Box } from "@chakra-ui/react";
import { api, type JobState, type Schemas } from "../../../api/client";
import { Asked } from "../../shared/Asked";
import { asking, useAsked } from "../../shared/useAsked";
import { useShown } from "../../shared/useShown";
import type { JobTools } from "../../shared/jobTools";
import { Channels } from "./Channels";
import { Heard } from "./Heard";
import { MovingAbout, NamesOnAir, Radios } from "./Radios";
import { MeasuredSpeeds } from "./MeasuredSpeeds";
import { Rates } from "./Rates";
import { SpectrumLanes } from "./SpectrumLanes";

/** How fast the home is expected to be, what is heard where, and who shares the air. */
export function SpeedAndAir({ state, tools }: { state: JobState; tools: JobTools }) {
  const [{ device }, show] = useShown(["device"]);
  const said = useAsked<Schemas["SpeedAndAir"]>(state, ["speed"], (signal) =>
    api.GET("/api/jobs/{id}/proof/speed", { params: asking(state), signal }),
  );
  return (
    <Asked of={said} what="Speed and air">
      {(air) => (
        <Box display="grid" gap="6" gridTemplateColumns="minmax(0, 1fr)">
          <Rates rates={air.rates} state={state} opened={device} open={(d) => show({ device: d })} />
          <MeasuredSpeeds held={air.held} state={state} tools={tools} />
          <Heard places={air.places} limits={air.levels} state={state} />
          <SpectrumLanes bands={air.bands} state={state} />
          <Channels state={state} tools={tools} />
          <Radios air={air} state={state} />
          <NamesOnAir names={air.names} movingDbm={air.levels.movingDbm} state={state} />
          <MovingAbout air={air} state={state} />
        </Box>
      )}
    </Asked>
  );
}
