/** Why something was called off, as an error. */
export const abortReason = (signal: AbortSignal): Error =>
  signal.reason instanceof Error ? signal.reason : new Error('called off');
