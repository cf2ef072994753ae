/** Address of something that comes with the program, wherever its host put it. @param path without a slash before it */
export const ownAddress = (path: string): string => `${import.meta.env.BASE_URL}${path}`;
