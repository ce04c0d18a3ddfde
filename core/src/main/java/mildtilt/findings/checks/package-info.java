/**
 * The checks that make findings, each over its own matter: {@link mildtilt.findings.checks.Checks} asks them all in turn,
 * {@link mildtilt.findings.checks.NotJudged} lists what none of them could look at.
 */
@NullMarked
package mildtilt.findings.checks;

import org.jspecify.annotations.NullMarked;
