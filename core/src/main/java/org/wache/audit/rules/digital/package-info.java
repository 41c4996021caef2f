/** Rules about what a digital channel needs beside its frequency: colour codes, slots, talk groups, access codes. */
package org.wache.audit.rules.digital;
