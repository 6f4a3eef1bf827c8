/**
 * Lead angle of a screw from its lead and its pitch diameter: atan(lead/(π·d)), rad.
 *
 * @example leadAngle(0.008, 0.008) //=> 0.3082
 */
export const leadAngle = (lead: number, pitchDiameter: number): number => Math.atan(lead / (Math.PI * pitchDiameter));
