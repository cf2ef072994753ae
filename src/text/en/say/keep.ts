/** What the logbook and the season say: sentences only; the labels of their fields and columns stand with them. */
export const say = {
  renewBefore: (why: string) => `Renew the brake fluid before it. ${why}`,
  orderTitle: (place: string) => `Order ${place}`,
  orderFor: (event: string, date: string) => `To be here for ${event} on ${date}.`,
};
