/**
 * The version of what devices and server say to each other. It goes up when a device of an older
 * version would be misunderstood; such a device keeps what it has and asks to be brought up to date.
 */
export const apiVersion = 2;
