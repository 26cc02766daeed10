/** What the hosts that may be asked are injected by. */
export const reachToken = Symbol('reach');
