/**
 * What all endpoints share: how addresses and bodies are read within limits,
 * and how what went wrong becomes an answer.
 */
package org.wache.server.web;
