import { z } from "zod";

/** What a schema says where it has no sentence of its own: in plain words, never the package's. */
z.config({
  customError: (issue) => {
    const { code, origin } = issue;
    const [least, most] = [issue.minimum, issue.maximum];
    if (code === "too_small") {
      if (origin === "string")
        return least === 1 ? "It can't be blank." : `Write at least ${least} characters.`;
      if (origin === "array" || origin === "set")
        return least === 1 ? "Name at least one." : `Name at least ${least}.`;
      return least === 0 ? "It can't be below zero." : `It can't be below ${least}.`;
    }
    if (code === "too_big") {
      if (origin === "string") return `Keep it under ${most} characters.`;
      if (origin === "array" || origin === "set") return `Name ${most} at most.`;
      return `It can't be over ${most}.`;
    }
    if (code === "invalid_value" && Array.isArray(issue.values))
      return `It is one of: ${issue.values.map(String).join(", ")}.`;
    if (code === "unrecognized_keys") return "It says something that is not known here.";
    if (code === "invalid_type") {
      if (issue.input === undefined) return "It is missing.";
      if (issue.expected === "number") return "Write a number.";
      if (issue.expected === "int") return "Write a whole number.";
    }
    // Any other: nothing that belongs here.
    if (code !== "custom") return "It can't be read.";
    return undefined;
  },
});
