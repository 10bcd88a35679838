/** Who may show a stored page in a frame, unless its door says otherwise: Fastigo's own pages. */
export const OWN_FRAMES = "frame-ancestors 'self'";
