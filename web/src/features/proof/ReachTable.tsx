import { Box, chakra } from "@chakra-ui/react";
import type { Design, Schemas } from "../../api/client";
import { nameOf } from "../stations/designReading";
import { Answer, Cell, Head, Why } from "./pieces";

/** Who opens connections to whom, class by class: rows open, columns are to answer. */
export function ReachTable({ design, reach }: { design: Design; reach: Schemas["ReachFact"] }) {
  if (reach.classes.length === 0) {
    return null;
  }
  const members = (c: Schemas["ReachClass"]) => c.devices.map((d) => nameOf(design, d)).join(", ");
  return (
    <chakra.section aria-label="Who reaches whom">
      <chakra.h2 fontSize="lg" mb="1">
        Who reaches whom
      </chakra.h2>
      <Box overflowX="auto" tabIndex={0} role="region" aria-label="Who reaches whom, table">
        <chakra.table width="100%">
          <thead>
            <tr>
              <Head scope="col">From, down; to, across</Head>
              {reach.classes.map((c) => (
                <Head key={c.id} scope="col">
                  {members(c)}
                </Head>
              ))}
            </tr>
          </thead>
          <tbody>
            {reach.classes.map((from) => (
              <tr key={from.id}>
                <Head as="th" scope="row">
                  {members(from)}
                </Head>
                {reach.classes.map((to) => {
                  const cell = reach.cells.find((c) => c.from === from.id && c.to === to.id);
                  return (
                    <Cell key={to.id}>
                      {cell ? (
                        <>
                          <Answer kind={cell.answer.kind} />
                          <Box fontSize="xs" color="muted">
                            <Why answer={cell.answer} />
                          </Box>
                        </>
                      ) : null}
                    </Cell>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </chakra.table>
      </Box>
    </chakra.section>
  );
}
