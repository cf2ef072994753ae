/** Notices of everything that is shipped, as one text. */
export function noticesText(): string;
