package org.wache.audit.rules;

import java.util.List;
import org.wache.audit.RuleSet;
import org.wache.audit.rules.digital.DigitalAstray;
import org.wache.audit.rules.digital.DigitalIncomplete;
import org.wache.audit.rules.digital.TalkGroupKnown;
import org.wache.audit.rules.entry.DuplicateChannel;
import org.wache.audit.rules.entry.DuplicateNumber;
import org.wache.audit.rules.entry.FrequencyImplausible;
import org.wache.audit.rules.entry.NameContradicts;
import org.wache.audit.rules.entry.TimeoutLong;
import org.wache.audit.rules.entry.TimeoutOff;
import org.wache.audit.rules.entry.Unreadable;
import org.wache.audit.rules.fit.NotCertified;
import org.wache.audit.rules.fit.RadioCapacity;
import org.wache.audit.rules.fit.RadioMode;
import org.wache.audit.rules.fit.RadioName;
import org.wache.audit.rules.fit.RadioPower;
import org.wache.audit.rules.fit.RadioRange;
import org.wache.audit.rules.fit.RadioStep;
import org.wache.audit.rules.fit.RadioTone;
import org.wache.audit.rules.law.AnotherCountry;
import org.wache.audit.rules.law.BandwidthOver;
import org.wache.audit.rules.law.ChannelRestricted;
import org.wache.audit.rules.law.ClassTooLow;
import org.wache.audit.rules.law.EdgeClose;
import org.wache.audit.rules.law.EdgeOverrun;
import org.wache.audit.rules.law.EmissionNotAllowed;
import org.wache.audit.rules.law.HeightOver;
import org.wache.audit.rules.law.HiddenMeaning;
import org.wache.audit.rules.law.LicenceExpired;
import org.wache.audit.rules.law.LicenceExpiring;
import org.wache.audit.rules.law.NoService;
import org.wache.audit.rules.law.NotLicensed;
import org.wache.audit.rules.law.OffChannel;
import org.wache.audit.rules.law.OutsideAuthorisation;
import org.wache.audit.rules.law.PlaceUnknown;
import org.wache.audit.rules.law.PowerOver;
import org.wache.audit.rules.law.PowerUnknown;
import org.wache.audit.rules.law.RepeaterInputOnly;
import org.wache.audit.rules.law.RepeaterNotAllowed;
import org.wache.audit.rules.law.RestrictedArea;
import org.wache.audit.rules.plan.AgainstPlan;
import org.wache.audit.rules.plan.LocalWarning;
import org.wache.audit.rules.plan.NeighbourChannel;
import org.wache.audit.rules.plan.OffRaster;
import org.wache.audit.rules.plan.OffsetUnusual;
import org.wache.audit.rules.plan.ReversedPair;
import org.wache.audit.rules.plan.SidebandHabit;
import org.wache.audit.rules.site.AdjacentOverlap;
import org.wache.audit.rules.site.CoChannel;
import org.wache.audit.rules.site.ExposureDistance;
import org.wache.audit.rules.site.Harmonic;
import org.wache.audit.rules.site.Intermod;
import org.wache.audit.rules.site.TransmitNearReceive;
import org.wache.audit.rules.tone.AccessToneMissing;
import org.wache.audit.rules.tone.CallingTone;
import org.wache.audit.rules.tone.ToneClash;
import org.wache.audit.rules.tone.ToneDefault;
import org.wache.audit.rules.tone.ToneMismatch;
import org.wache.audit.rules.tone.ToneUnknown;

/** All rules, in the order in which findings are told. A new rule is one line here. */
public final class Register {

    /** The rules of every audit. */
    public static final RuleSet ALL = new RuleSet(
            List.of(
                    new Unreadable(),
                    new FrequencyImplausible(),
                    new AnotherCountry(),
                    new DuplicateNumber(),
                    new DuplicateChannel(),
                    new NameContradicts(),
                    new CallingTone(),
                    new ToneUnknown(),
                    new ToneMismatch(),
                    new ToneClash(),
                    new DigitalIncomplete(),
                    new DigitalAstray(),
                    new TalkGroupKnown(),
                    new TimeoutOff(),
                    new TimeoutLong(),
                    new CoChannel(),
                    new AdjacentOverlap(),
                    new Intermod(),
                    new Harmonic(),
                    new TransmitNearReceive(),
                    new ExposureDistance()),
            List.of(
                    new RadioRange(),
                    new RadioStep(),
                    new RadioMode(),
                    new RadioTone(),
                    new RadioCapacity(),
                    new RadioName()),
            List.of(new NotLicensed(), new NoService()),
            List.of(
                    new OffChannel(),
                    new EmissionNotAllowed(),
                    new ClassTooLow(),
                    new EdgeOverrun(),
                    new BandwidthOver(),
                    new PowerOver(),
                    new RepeaterNotAllowed(),
                    new RepeaterInputOnly(),
                    new ChannelRestricted(),
                    new OutsideAuthorisation(),
                    new RestrictedArea(),
                    new NotCertified(),
                    new LicenceExpired(),
                    new HiddenMeaning(),
                    new EdgeClose(),
                    new PowerUnknown(),
                    new PlaceUnknown(),
                    new HeightOver(),
                    new LicenceExpiring(),
                    new AgainstPlan(),
                    new NeighbourChannel(),
                    new LocalWarning(),
                    new OffsetUnusual(),
                    new ReversedPair(),
                    new OffRaster(),
                    new SidebandHabit(),
                    new AccessToneMissing(),
                    new ToneDefault(),
                    new RadioPower()));

    private Register() {}
}
