import { Box } from "@chakra-ui/react";
import { Download } from "lucide-react";
import { useState } from "react";
import { Input } from "../../ui/controls";
import { Labelled } from "../../ui/pieces";

/** The sheet as a calendar, which needs to know when the work begins, by the clock of the home. */
export function CalendarFile({ address }: { address: (start: string) => string }) {
  const [start, setStart] = useState("");
  return (
    <Box display="flex" gap="2" alignItems="end" flexWrap="wrap">
      <Labelled label="Calendar (iCalendar): the work begins">
        {(ids) => <Input {...ids} type="datetime-local" width="auto" value={start} onChange={(e) => setStart(e.target.value)} />}
      </Labelled>
      {start !== "" && (
        <a href={address(start)} download>
          <Download size={14} aria-hidden style={{ display: "inline" }} /> Calendar
        </a>
      )}
    </Box>
  );
}
