/**
 * The made-up company whose data the demo shows: Brindlewing Pollination Services, who place hives in orchards for the
 * weeks of blossom. Everything comes from one seed and the day the demo starts.
 */
package famulus.server.demo;
