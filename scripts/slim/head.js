/** The router wraps the application in what fills the head of a page; ours is filled by the shell. */
const Provider = ({ children }) => children;

export const Head = { Provider };
