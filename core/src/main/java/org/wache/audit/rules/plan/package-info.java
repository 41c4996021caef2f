/**
 * Rules of the band plan and of habit:
 * never more than a query.
 */
package org.wache.audit.rules.plan;
