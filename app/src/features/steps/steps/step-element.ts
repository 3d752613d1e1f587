/** Names a step's element in the page, so that it can be brought into sight. */
export const stepElement = (stepId: string): string => `step-${stepId}`;
