/**
 * The engine: holds a list against rules, entry by entry and route by route,
 * for each set of licences that carries it. It knows no rule by name.
 */
package org.wache.audit;
