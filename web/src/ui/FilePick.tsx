import { chakra } from "@chakra-ui/react";

/** Picks one file; the same one can be picked again. */
export function FilePick({ take, ...field }: { id: string; "aria-describedby"?: string; accept: string; take: (file: File) => void }) {
  return (
    <chakra.input
      {...field}
      type="file"
      maxW="100%"
      minH="8"
      font="inherit"
      fontSize="sm"
      css={{
        "&::file-selector-button": {
          font: "inherit",
          fontWeight: 600,
          marginInlineEnd: "0.75rem",
          padding: "0.25rem 0.75rem",
          minHeight: "2rem",
          border: "1.5px solid currentColor",
          borderRadius: "6px",
          background: "transparent",
          color: "inherit",
          cursor: "pointer",
        },
      }}
      color="copper"
      onChange={(e) => {
        const file = e.target.files?.[0];
        if (file) {
          take(file);
        }
        e.target.value = "";
      }}
    />
  );
}
