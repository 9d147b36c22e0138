/** The router makes a stack of native screens at its start, and takes only the order of places from beside it: none is ever drawn. */
export const createNativeStackNavigator = () => ({ Navigator: () => null });
