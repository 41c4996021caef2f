package org.wache.audit.register;

import java.util.List;
import org.wache.audit.RuleSet;
import org.wache.audit.entry.DuplicateChannel;
import org.wache.audit.entry.DuplicateNumber;
import org.wache.audit.entry.FrequencyImplausible;
import org.wache.audit.entry.NameContradicts;
import org.wache.audit.entry.TimeoutLong;
import org.wache.audit.entry.TimeoutOff;
import org.wache.audit.entry.Unreadable;
import org.wache.audit.fit.NotCertified;
import org.wache.audit.fit.RadioCapacity;
import org.wache.audit.fit.RadioMode;
import org.wache.audit.fit.RadioName;
import org.wache.audit.fit.RadioPower;
import org.wache.audit.fit.RadioRange;
import org.wache.audit.fit.RadioStep;
import org.wache.audit.fit.RadioTone;
import org.wache.audit.law.AnotherCountry;
import org.wache.audit.law.BandwidthOver;
import org.wache.audit.law.ChannelRestricted;
import org.wache.audit.law.ClassTooLow;
import org.wache.audit.law.EdgeClose;
import org.wache.audit.law.EdgeOverrun;
import org.wache.audit.law.EmissionNotAllowed;
import org.wache.audit.law.HeightOver;
import org.wache.audit.law.HiddenMeaning;
import org.wache.audit.law.LicenceExpired;
import org.wache.audit.law.LicenceExpiring;
import org.wache.audit.law.NoService;
import org.wache.audit.law.NotLicensed;
import org.wache.audit.law.OffChannel;
import org.wache.audit.law.OutsideAuthorisation;
import org.wache.audit.law.PlaceUnknown;
import org.wache.audit.law.PowerOver;
import org.wache.audit.law.PowerUnknown;
import org.wache.audit.law.RepeaterInputOnly;
import org.wache.audit.law.RepeaterNotAllowed;
import org.wache.audit.law.RestrictedArea;
import org.wache.audit.plan.AgainstPlan;
import org.wache.audit.plan.LocalWarning;
import org.wache.audit.plan.NeighbourChannel;
import org.wache.audit.plan.OffRaster;
import org.wache.audit.plan.OffsetUnusual;
import org.wache.audit.plan.ReversedPair;
import org.wache.audit.plan.SidebandHabit;
import org.wache.audit.site.AdjacentOverlap;
import org.wache.audit.site.CoChannel;
import org.wache.audit.site.ExposureDistance;
import org.wache.audit.site.Harmonic;
import org.wache.audit.site.Intermod;
import org.wache.audit.site.TransmitNearReceive;
import org.wache.audit.tone.AccessToneMissing;
import org.wache.audit.tone.CallingTone;
import org.wache.audit.tone.ToneClash;
import org.wache.audit.tone.ToneDefault;
import org.wache.audit.tone.ToneMismatch;
import org.wache.audit.tone.ToneUnknown;

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
      List.of(
          new NotLicensed(),
          new NoService()),
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
