/** What the library says: sentences only; the labels of its buttons stand with them. */
export const say = {
  textStaysAside:
    'It goes from the list. Its text is kept aside (Files, Texts kept aside) until you delete it there.',
} as const;
