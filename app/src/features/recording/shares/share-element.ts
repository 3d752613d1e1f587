/** The element of a share on the sheet, to which it is gone from what is owed. */
export const shareElement = (shareId: string): string => `share-${shareId}`;
