/** Words that say nothing by themselves: they are left out, and a reading stays sure. */
export const FILLERS: readonly string[] = [
  "a|an|the|of|in|on|at|to|for|from|with|by|as|and|per|is|are|was|were|be|been|being|am|it|its|their|them|they|there|here",
  "do|does|did|done by|has|have|had|having|get|got|gets|that|which|who|whom|whose|what|what's|whats|who's|where|how",
  "we|us|our|ours|you|your|me|my|let's|lets|(?:can|could|may|do) i|i (?:want|need|can|like|see|am looking for)|i'd",
  "please|pls|plz|hey|dear|(?:can|could|would) you|i would like(?: to)?|i'd like(?: to)?|can|like|want|wants|need|see|show|give|tell|find|get|list|display|draw|make|build|create a|want to|know",
  "all|any|some|every|each|total|overall|altogether|currently|now|right now|at the moment|still|already|yet|just|only|also|so|then|today's",
  "much|many|number|numbers|count|counts|figure|figures|report|reports|chart|graph|plot|table|overview|breakdown|distribution|distributed|spread|summary|data|view",
  "out|up|these|those|this|ones|one|s|across|within|during|over|between|into|about|than|more|if|not yet",
  "group|grouped|split|sort|sorted|break down|broken down|ranked|rank",
  "everything|anything|things|stuff|work|people|records|entries|anyone|somebody|everyone|everybody|person's",
  "compared|compare|respectively|whole|entire|exactly|actually|really|kindly|hi|hello|thanks|thank you|ever|so far|time|times",
];
