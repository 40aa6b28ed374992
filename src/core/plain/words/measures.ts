/** How people ask for an amount; `field` is filled by the words after it. */
export const AGGREGATES: readonly { readonly said: string; readonly measure: string }[] = [
  { said: "p ?95|95th percentile(?: of)?|95 percent(?:ile)?", measure: "p95" },
  { said: "p ?85|85th percentile(?: of)?|85 percent(?:ile)?", measure: "p85" },
  { said: "median|typical|typically|usual|usually", measure: "median" },
  { said: "averages?|mean|avg|on average", measure: "average" },
  { said: "longest|highest|maximum|max|largest|greatest", measure: "highest" },
  { said: "shortest|lowest|minimum|min|smallest", measure: "lowest" },
  { said: "sums?(?: of)?|total(?: of)?|totals?", measure: "sum of" },
];

/** What can be measured, as people say it. */
export const AMOUNTS: readonly { readonly said: string; readonly field: string }[] = [
  {
    said: "lead times?|turnaround(?: times?)?|times? to (?:finish|resolve|close|complete|resolution|completion|fix|done)|(?:resolve|resolution|closing|completion|handling) times?|days to finish|time (?:it takes|taken|needed|required)(?: us)? to (?:finish|close|resolve|complete|fix|solve)",
    field: "lead time",
  },
  { said: "cycle times?", field: "cycle time" },
  {
    said: "age in (?:the )?(?:present |current |same )?status|time in (?:the )?(?:present|current|same) status",
    field: "age in status",
  },
  { said: "ages?|how old", field: "age" },
  { said: "story points|points", field: "points" },
  { said: "remaining estimates?|remaining work|work left", field: "remaining estimate" },
  { said: "estimates?|estimated time", field: "estimate" },
  { said: "reassign(?:ed|ments?)", field: "reassigned" },
  { said: "reopen(?:ed|ings?|s)", field: "reopened" },
];

/** Whole questions after an amount. */
export const HOW_LONG =
  "how (?:long|many days|much time) (?:does|do|did|will|would|has|have)(?: it| we| they)?(?: usually| typically| on average)?(?: take| taken)?(?: us)?(?: on average| usually| typically)? (?:to|for us to|before we|until we) (?:finish|close|resolve|complete|fix|solve|get done|deliver)|how (?:quickly|fast) (?:do|are|did|were) (?:we |they )?(?:finish|close|resolve|complete|fix|solve|deliver)(?:d|ed)?";
export const HOW_OLD = "how old (?:are|is|were|was)";
