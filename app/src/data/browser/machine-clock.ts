/** The present by this device's clock, in milliseconds since 1970: right or wrong, as it is set. The one place that asks for it. */
export const machineMillis = (): number => Date.now();
