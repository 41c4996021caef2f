/**
 * What a rule has to say:
 * its slug, its sentence, its sum as on paper, and the changes it offers.
 */
package org.wache.audit.finding;
