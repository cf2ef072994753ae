/** What the screen and its explanations no longer say, each with what it says instead: the field's own terms, as somebody in a paddock would. */
export const NOT_SAID: readonly (readonly [RegExp, string])[] = [
  [/\bgives? out\b/i, 'over limit'],
  [/\bin hand\b/i, 'within limits; below limit; brake reserve'],
  [/\btoo cold\b/i, 'below working temperature'],
  [/\bair (after|time)\b/i, 'cooling time'],
  [/\bheat a lap\b|\blap mean\b/i, 'brake energy per lap; mean brake power'],
  [/unaccounted/i, 'energy balance error'],
  [/\bfade margin\b/i, 'brake reserve'],
  [/\brotor (bulk|faces?)\b|\bpad faces?\b/i, 'core (bulk); surface'],
  [/\bpad plates?\b/i, 'pad backing plate'],
  [/\bcommitment\b/i, 'share of grip used'],
  [/\bfront share\b/i, 'brake balance (% front)'],
  [/\btyres (would )?want\b/i, 'ideal balance'],
  [/\btaped\b/i, 'blanked off'],
  [/air going round/i, 'recirculation'],
  [/loss at twice the load/i, 'tyre load sensitivity'],
  [/rotating inertia|\bdrag area\b|\bdownforce area\b/i, 'rotational mass factor; CdA; ClA'],
  [/gap of a released pad|hose growth/i, 'pad running clearance; hose expansion'],
  [/\brear valve\b/i, 'proportioning valve'],
  [/class \d\S* at its least|boils dry/i, 'DOT 4, minimum by standard; dry boiling point'],
  [/rubbed area|crack share/i, 'swept area; fatigue damage index'],
  [/one click of the control/i, 'balance change per click'],
  [/what was asked|runs longer|\bruns long\b/i, 'target; overshoots by'],
  [/\bgiven by\b|in, if known|one round/i, 'defined by; time to next; laps'],
  [/end misses/i, 'closure error'],
  [/solved lap|none there|way (to|from) the line/i, 'simulated lap; no match; out / in lap'],
  [/beside the predicted|root mean square/i, 'compared with; RMS error'],
  [/as reckoned|as the plan is/i, 'assumed setup; current setup'],
  [/start anew|came about/i, 'run again; how this is calculated'],
  [
    /put on the workbench|move things|take it over|goes with the car/i,
    'use this plan; adjust; apply; compatible?',
  ],
  [/\bhow sure\b|days driven|heat nearby/i, 'uncertainty; simulation runs; heat-exposed parts'],
  [/bright pit lane|dark paddock/i, 'light; dark'],
  [/more than any leg|bring them back/i, 'beyond the driver’s limit; not enough after 8 laps'],
  [/each kelvin|\bkelvin\b/i, 'cost per °C gained'],
  [/\d K\b/, 'a difference in °C or °F'],
  [/\bstop \d/i, 'braking zone, where it is a corner’s braking'],
];

/** What an explanation says that the field says otherwise; kelvins may stand in its formulas. */
export const saidOtherwise = (text: string): string[] =>
  NOT_SAID.filter(([word]) => !/ K|kelvin/.test(word.source)).flatMap(([word, instead]) => {
    const found = word.exec(text);
    return found
      ? [`“${text.slice(Math.max(0, found.index - 30), found.index + 40)}” should say ${instead}`]
      : [];
  });
