/** A number to so many places, as it is shown. */
export const roundedTo = (value: number, decimals: number): number => Number(value.toFixed(decimals));
