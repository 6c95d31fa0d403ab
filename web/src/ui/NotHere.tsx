import { Flex } from "@chakra-ui/react";
import { Link } from "react-router";
import { Trouble } from "./pieces";

/** What a page says instead of a view, and the ways on from there: the plan of the job where it is one of a job, and the list of jobs. */
export function NotHere({ what, why, again, job }: { what: string; why?: string; again?: () => void; job?: string | undefined }) {
  return (
    <>
      <Trouble what={what} {...(why === undefined ? {} : { why })} {...(again ? { again } : {})} />
      <Flex as="nav" aria-label="Ways on" mx="4" gap="5" wrap="wrap">
        {job && <Link to={`/jobs/${job}/plan`}>Plan of this job</Link>}
        <Link to="/">All jobs</Link>
      </Flex>
    </>
  );
}
