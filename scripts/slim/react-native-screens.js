/** The router sets flags of native screens at its start; on the web no such screens are drawn. */
export const featureFlags = { experiment: {} };
