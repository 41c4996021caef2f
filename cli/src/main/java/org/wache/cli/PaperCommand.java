package org.wache.cli;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.IntStream;
import org.wache.audit.Audit;
import org.wache.audit.Auditor;
import org.wache.audit.finding.Finding;
import org.wache.audit.finding.Slug;
import org.wache.audit.rules.Register;
import org.wache.channel.ChannelList;
import org.wache.exchange.ContextFile;
import org.wache.exchange.HolderShorthand;
import org.wache.exchange.ListFiles;
import org.wache.exchange.PaperReport;
import org.wache.exchange.ProfileFile;
import org.wache.exchange.RadioReader;
import org.wache.keypad.ListPaper;
import org.wache.keypad.SettingSteps;
import org.wache.keypad.Step;
import org.wache.radio.Radio;
import org.wache.radio.RadioModel;
import org.wache.rulebook.Edition;
import org.wache.rulebook.RulebookReader;
import org.wache.settings.SettingPlan;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** Says how a list is typed into a radio by hand, without server or database. */
@Command(
        name = "wache paper",
        mixinStandardHelpOptions = true,
        sortOptions = false,
        description =
                "Says how a list is typed into a radio of one model by hand, step by step. Exit status: 0 all of it, 1 "
                        + "some entries cannot be typed in, 2 no list or no model.")
final class PaperCommand implements Callable<Integer> {

    /** What keeps an entry from going into a radio at all; whether somebody may key it is another question. */
    private static final Set<Slug> UNFIT = EnumSet.of(
            Slug.UNREADABLE,
            Slug.FREQUENCY_IMPLAUSIBLE,
            Slug.RADIO_RANGE,
            Slug.RADIO_STEP,
            Slug.RADIO_MODE,
            Slug.RADIO_TONE,
            Slug.RADIO_CAPACITY);

    @Spec
    private CommandSpec spec;

    @Parameters(paramLabel = "LIST", description = "A list as CSV or JSON.")
    private Path file;

    @Option(names = "--model", paramLabel = "MODEL.json", required = true, description = "A model of radio.")
    private Path model;

    @Option(
            names = "--profile",
            paramLabel = "PROFILE.json",
            description = "How the radio's other settings shall be; their steps come first.")
    private Path profile;

    @Option(names = "--rulebook", paramLabel = "ID", description = "The rulebook; the first that ships when absent.")
    private String rulebook;

    @Option(names = "--json", description = "Write the paper as JSON.")
    private boolean json;

    @Override
    public Integer call() {
        RadioModel radio = Input.parsed(model, RadioReader::model);
        ChannelList list = Input.parsed(file, bytes -> ListFiles.read(bytes, Input.name(file)));
        Edition edition = Input.edition(rulebook == null ? RulebookReader.ids().get(0) : rulebook, LocalDate.now());
        ListPaper paper = ListPaper.of(list, radio, unfit(list, radio, edition));
        PrintWriter out = spec.commandLine().getOut();
        List<Step> settings = profile == null
                ? List.of()
                : SettingSteps.of(radio, SettingPlan.of(Input.parsed(profile, ProfileFile::read), radio));
        out.print(
                json
                        ? PaperReport.json(paper, settings, radio, list.name())
                        : PaperReport.text(paper, settings, radio, list.name()));
        out.flush();
        return paper.entries().stream().allMatch(entry -> entry.impossible().isEmpty()) ? 0 : 1;
    }

    private static List<Optional<String>> unfit(ChannelList list, RadioModel radio, Edition edition) {
        Audit audit = new Auditor(
                        Register.ALL,
                        ContextFile.EMPTY
                                .under(
                                        edition,
                                        LocalDate.now(),
                                        List.of(HolderShorthand.holder(HolderShorthand.NOBODY, edition)))
                                .forRadios(List.of(Radio.of(radio))))
                .audit(list);
        return IntStream.range(0, list.channels().size())
                .mapToObj(i -> audit.findings(i).stream()
                        .filter(finding -> finding.holds() && UNFIT.contains(finding.slug()))
                        .findFirst()
                        .map(Finding::message))
                .toList();
    }
}
